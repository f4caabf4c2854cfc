import { specAt, type PointCode, type SpecSheet } from '@weskopos/core';
import { useState } from 'react';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { Words } from '../../kit/Words';
import { SpecList, fluidLine, torqueLine } from '../../visit/SpecList';
import { walk as say } from '../../words/en/pages/walk';

interface SpecLineProps {
  readonly point: PointCode;
  readonly spec: SpecSheet;
}

/** What the spec sheet says to this point alone. */
function linesAt(point: PointCode, spec: SpecSheet): string[] {
  const { fluid, torque } = specAt(point, spec);
  const codes = point === 'cabin.indicator' ? spec.dashCodes.map(({ code, means }) => `${code}: ${means}`) : [];
  const key = point === 'cabin.keycell' && spec.keyCodePlace ? [say.keyCodeAt(spec.keyCodePlace)] : [];
  return [...(fluid ? [fluidLine(fluid)] : []), ...(torque ? [torqueLine(torque)] : []), ...codes, ...key];
}

/** The spec sheet's values for this point, and the whole sheet a tap away. */
export function SpecLine({ point, spec }: SpecLineProps) {
  const [open, setOpen] = useState(false);
  const lines = linesAt(point, spec);
  return (
    <>
      {open
        ? null
        : lines.map((line) => (
            <Words key={line} size="m" soft>
              {line}
            </Words>
          ))}
      <Press kind="quiet" label={say.specSheet} expanded={open} onPress={() => setOpen(!open)} style={aside} />
      {open ? (
        <Card>
          <SpecList spec={spec} />
        </Card>
      ) : null}
    </>
  );
}

const aside = { alignSelf: 'flex-start' } as const;
