import type { Life } from '@weskopos/contract';
import { countedVisits, entriesOf, jobsOf, lastDone, oilUseGrade, standingEntries } from '@weskopos/core';
import { fuelUse } from '@weskopos/core/calculators/fuelUse';
import { oilUseSince } from '@weskopos/core/jobs/oilUsed';
import { Card } from '../../kit/Card';
import { gradeColours, usePalette } from '../../kit/theme';
import { Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { amount, meterWords } from '@weskopos/words/show';
import { life as say } from '@weskopos/words/en/pages/life';

/** What fuel and oil a vehicle used; nothing where nothing can be told of it. */
export function UsedCard({ life: { vehicle, visits, entries } }: { readonly life: Life }) {
  const palette = usePalette();
  if (vehicle.meterUnit !== 'km') return null;
  const fills = entriesOf(standingEntries(entries), 'fuel').flatMap(({ meter, litres, full }) =>
    meter === null ? [] : [{ km: meter, litres, full }],
  );
  const used = fuelUse(fills).at(-1);
  const counted = countedVisits(visits);
  const changed = lastDone(jobsOf(counted, entries), { code: 'engine-oil', name: '' });
  const oil = oilUseSince(counted, entries, vehicle.spec.stickSpanL, changed);
  const grade = oil === null ? 'pass' : oilUseGrade(oil.per1000);
  if (!used && oil === null) return null;
  return (
    <Card>
      {used ? (
        <Words>{say.usesLPer100Km(used.litresPer100Km.toFixed(1), meterWords(used.toKm - used.fromKm, 'km'))}</Words>
      ) : null}
      {oil !== null ? (
        <Words>
          {grade === 'advisory' || grade === 'fail' ? (
            <Words strong colour={gradeColours(palette, grade).line}>{`${words.grade[grade]}. `}</Words>
          ) : null}
          {say.oilUsedSinceThe[oil.by](amount('volume', oil.per1000))}
        </Words>
      ) : null}
    </Card>
  );
}
