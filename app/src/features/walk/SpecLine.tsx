import { specAt, type PointCode, type SpecSheet } from '@weskopos/core';
import BookOpen from 'lucide-react-native/icons/book-open';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { usePalette } from '../../kit/theme';
import { Words } from '../../kit/Words';
import { SpecList, fluidLine, pivotLine, torqueLine } from '../../visit/SpecList';
import { walk as say } from '@weskopos/words/en/pages/walk';

/** What the spec sheet says to this point alone. */
function linesAt(point: PointCode, spec: SpecSheet): string[] {
  const { fluid, torque } = specAt(point, spec);
  const codes = point === 'cabin.indicator' ? spec.dashCodes.map(({ code, means }) => `${code}: ${means}`) : [];
  const key = point === 'cabin.keycell' && spec.keyCodePlace ? [say.keyCodeAt(spec.keyCodePlace)] : [];
  const pivots = point === 'plant.grease.own' ? spec.pivots.map(pivotLine) : [];
  return [...pivots, ...(fluid ? [fluidLine(fluid)] : []), ...(torque ? [torqueLine(torque)] : []), ...codes, ...key];
}

interface SpecLineProps {
  readonly point: PointCode;
  readonly spec: SpecSheet;
  /** The whole sheet is shown. */
  readonly open: boolean;
}

/** The spec sheet's values for this point, or the whole sheet. */
export function SpecLine({ point, spec, open }: SpecLineProps) {
  if (open)
    return (
      <Card>
        <SpecList spec={spec} />
      </Card>
    );
  return linesAt(point, spec).map((line) => (
    <Words key={line} size="m" soft>
      {line}
    </Words>
  ));
}

/** The whole spec sheet, a tap away at every step. */
export function SpecKey({ open, onPress }: { readonly open: boolean; readonly onPress: () => void }) {
  const palette = usePalette();
  return (
    <Press
      label=""
      hint={say.specSheet}
      icon={<BookOpen color={open ? palette.onFill : palette.ink} size={22} />}
      expanded={open}
      onPress={onPress}
    />
  );
}
