import type { Life } from '@weskopos/contract';
import { countedVisits, jobKey, jobsOf } from '@weskopos/core';
import { useRouter } from 'expo-router';
import { jobPasts } from '@weskopos/core/jobs/jobHistory';
import { stickerOf } from '@weskopos/core/jobs/stickerOf';
import { Card } from '../../kit/Card';
import { usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { Press } from '../../kit/Press';
import { history } from '@weskopos/words/en/pages/history';
import { HouseLine } from '../../controls/HouseLine';
import { BoltsDone } from '../../visit/BoltsDone';
import { dueWords, pastWords } from '@weskopos/words/dueWords';
import { houseRules, jobWords, meterWords } from '@weskopos/words/show';
import { common } from '@weskopos/words/en/pages/common';
import { life as say } from '@weskopos/words/en/pages/life';

/** What the spec sheet's intervals ask for next, and the wheel bolts until they are torqued again. */
export function DueCard({ life: { vehicle, visits, entries } }: { readonly life: Life }) {
  const palette = usePalette();
  const router = useRouter();
  const counted = countedVisits(visits);
  const { dues, boltsAgain } = stickerOf(vehicle, counted, entries, houseRules());
  const pasts = jobPasts(vehicle, jobsOf(counted, entries), entries);
  const unsaid = pasts.filter(({ state }) => state === 'unsaid').length;
  const unknown = pasts.filter(({ state }) => state === 'not-known');
  return (
    <Card>
      <Heading level={2}>{say.dueNext}</Heading>
      {boltsAgain ? (
        <>
          <Words strong colour={palette.fail}>
            {common.wheelBoltsAgainTo(meterWords(boltsAgain.fromKm, 'km'), meterWords(boltsAgain.toKm, 'km'))}
          </Words>
          <BoltsDone vehicleId={vehicle.id} fleetCode={vehicle.fleetCode} />
        </>
      ) : null}
      {dues
        .filter(({ doneAt }) => doneAt !== null)
        .map((due) => (
          <Words key={jobKey(due.job)}>{dueWords(due, vehicle.meterUnit)}</Words>
        ))}
      {pasts
        .filter(({ state }) => state === 'unsaid')
        .map(({ job }) => (
          <Words key={jobKey(job)} soft>
            {dueWords({ job, doneAt: null, meter: null, by: null, capped: false }, vehicle.meterUnit)}
          </Words>
        ))}
      {unknown.map((past) => (
        <Words key={jobKey(past.job)} strong colour={palette.advisory}>
          {`${jobWords(past.job)}: ${pastWords(past, vehicle.meterUnit)}`}
        </Words>
      ))}
      <HouseLine question="fluidChange" />
      {vehicle.spec.hardUse ? <HouseLine question="hardUse" /> : null}
      <Press
        kind={unsaid > 0 ? 'plain' : 'quiet'}
        label={unsaid > 0 ? history.toHistory(unsaid) : history.title}
        onPress={() => router.push(`/vehicle/${vehicle.id}/history`)}
      />
    </Card>
  );
}
