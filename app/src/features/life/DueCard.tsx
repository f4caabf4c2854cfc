import type { Life, Visit } from '@weskopos/contract';
import { jobKey } from '@weskopos/core';
import { stickerOf } from '@weskopos/core/desk';
import { Card } from '../../kit/Card';
import { usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { dueWords } from '../../words/dueWords';
import { houseRules, meterWords } from '../../words/show';
import { life as say } from '../../words/en/pages/life';

/** What the spec sheet's intervals ask for next, and the wheel bolts where a wheel was off. */
export function DueCard({ life: { vehicle, entries }, last }: { readonly life: Life; readonly last: Visit }) {
  const palette = usePalette();
  const { dues, boltsAgain } = stickerOf(vehicle, last.inspection, last.acts, houseRules(), entries);
  if (dues.length === 0 && !boltsAgain) return null;
  return (
    <Card>
      <Heading level={2}>{say.dueNext}</Heading>
      {boltsAgain ? (
        <Words strong colour={palette.fail}>
          {say.wheelBoltsAgainTo(meterWords(boltsAgain.fromKm, 'km'), meterWords(boltsAgain.toKm, 'km'))}
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
