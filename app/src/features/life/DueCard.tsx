import type { Life } from '@weskopos/contract';
import { jobKey } from '@weskopos/core';
import { stickerOf } from '@weskopos/core/desk';
import { Card } from '../../kit/Card';
import { usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { dueWords } from '../../words/dueWords';
import { houseRules, meterWords } from '../../words/show';
import { common } from '../../words/en/pages/common';
import { life as say } from '../../words/en/pages/life';

/** What the spec sheet's intervals ask for next, and the wheel bolts until they are torqued again. */
export function DueCard({ life: { vehicle, visits, entries } }: { readonly life: Life }) {
  const palette = usePalette();
  const counted = visits.filter(({ inspection }) => inspection.voidedAt === null);
  const { dues, boltsAgain } = stickerOf(vehicle, counted, entries, houseRules());
  if (dues.length === 0 && !boltsAgain) return null;
  return (
    <Card>
      <Heading level={2}>{say.dueNext}</Heading>
      {boltsAgain ? (
        <Words strong colour={palette.fail}>
          {common.wheelBoltsAgainTo(meterWords(boltsAgain.fromKm, 'km'), meterWords(boltsAgain.toKm, 'km'))}
        </Words>
      ) : null}
      {dues.map((due) => (
        <Words key={jobKey(due.job)} soft={due.doneAt === null}>
          {dueWords(due, vehicle.meterUnit)}
        </Words>
      ))}
    </Card>
  );
}
