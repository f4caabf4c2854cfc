import type { Visit } from '@weskopos/contract';
import { Card } from '../kit/Card';
import { Press } from '../kit/Press';
import { usePalette } from '../kit/theme';
import { Words } from '../kit/Words';
import { nowIso } from '../sync/clock';
import { record, useWorkshop } from '../sync/workshop';
import { visit as say } from '@weskopos/words/en/pages/visit';
import { day, dayAndTime } from '@weskopos/words/show';

/** Who gave a visit up, when and why; and the way to have it count again. */
export function GivenUpNote({ visit: { inspection, inspector, voidedBy } }: { readonly visit: Visit }) {
  const palette = usePalette();
  const isLead = useWorkshop(({ person }) => person?.role === 'lead');
  const { id, startedAt, signedAt, voidedAt, voidedWhy } = inspection;
  if (voidedAt === null) return null;
  const again = () => void record({ kind: 'inspection.restore', body: { inspectionId: id, at: nowIso() } });
  return (
    <Card ground={palette.advisoryWash}>
      <Words strong>{say.givenUp(voidedBy ?? '', dayAndTime(voidedAt), day(startedAt), inspector)}</Words>
      {voidedWhy ? <Words>{`“${voidedWhy}”`}</Words> : null}
      {signedAt === null || isLead ? <Press label={say.takeUpAgain} onPress={again} /> : null}
    </Card>
  );
}
