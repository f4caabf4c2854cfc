import { countedVisits, jobKey, jobsOf, type Job, type Vehicle } from '@weskopos/core';
import { jobPasts, type JobPast } from '@weskopos/core/jobs/jobHistory';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { FormField } from '../../controls/FormFields';
import { useCheckedForm } from '../../controls/useCheckedForm';
import { Card } from '../../kit/Card';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { NotHere } from '../../shell/NotHere';
import { Page } from '../../shell/Page';
import { nowIso } from '../../sync/clock';
import { useLife } from '../../sync/useLife';
import { putEntry } from '../../visit/putEntry';
import { words } from '@weskopos/words/en';
import { history as say } from '@weskopos/words/en/pages/history';
import { pastWords } from '@weskopos/words/dueWords';
import { capital, jobWords, meterTypedUnit } from '@weskopos/words/show';
import { blankPast, pastOf, pastProblems, type PastForm } from './pastForm';

/** What is known of a vehicle's past, asked once on one screen: when each job was done, by which paper, and what nobody knows. */
export function HistoryPage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const life = useLife(id);
  const [paper, setPaper] = useState('');
  if (!life) return <NotHere />;
  const { vehicle, visits, entries } = life;
  const counted = countedVisits(visits);
  const pasts = jobPasts(vehicle, jobsOf(counted, entries), entries);
  const open = pasts.filter(({ state }) => state === 'unsaid').length;
  return (
    <Page title={say.title} over={`${vehicle.fleetCode} · ${vehicle.make} ${vehicle.model}`} width={640}>
      <Words>{open > 0 ? say.open(open) : say.allSaid}</Words>
      <Field
        label={say.paper}
        value={paper}
        onChangeText={setPaper}
        maxLength={80}
        placeholder={words.entryForm.paperHint}
      />
      {pasts.map((past) => (
        <PastCard key={`${jobKey(past.job)} ${past.state}`} past={past} vehicle={vehicle} paper={paper.trim()} />
      ))}
    </Page>
  );
}

interface PastCardProps {
  readonly past: JobPast;
  readonly vehicle: Vehicle;
  readonly paper: string;
}

/** One job: what is known of it, or the fields to say it. */
function PastCard({ past, vehicle, paper }: PastCardProps) {
  const [asked, setAsked] = useState(past.state === 'unsaid');
  return (
    <Card>
      <Heading level={2}>{capital(jobWords(past.job))}</Heading>
      {past.state === 'unsaid' ? null : <Words>{pastWords(past, vehicle.meterUnit)}</Words>}
      {asked ? (
        <PastFields job={past.job} vehicle={vehicle} paper={paper} mayBeUnknown={past.state === 'unsaid'} />
      ) : (
        <Press
          kind="quiet"
          label={say.sayAnother}
          hint={say.sayAnotherOf(jobWords(past.job))}
          onPress={() => setAsked(true)}
        />
      )}
    </Card>
  );
}

interface PastFieldsProps {
  readonly job: Job;
  readonly vehicle: Vehicle;
  readonly paper: string;
  readonly mayBeUnknown: boolean;
}

function PastFields({ job, vehicle, paper, mayBeUnknown }: PastFieldsProps) {
  const { control, handleSubmit, reset } = useCheckedForm<PastForm>(blankPast(), (typed) =>
    pastProblems(typed, vehicle, nowIso()),
  );
  const name = jobWords(job);
  const keep = handleSubmit(async (typed) => {
    const { at, meter } = pastOf(typed, vehicle, nowIso());
    const details = { place: '', litres: null, numbers: '', paper } as const;
    await putEntry({ vehicleId: vehicle.id, at, meter }, { kind: 'job', job, ...details });
    reset();
  });
  const notKnown = () => void putEntry({ vehicleId: vehicle.id, meter: null }, { kind: 'not-known', job, paper });
  return (
    <View style={styles.fields}>
      <FormField control={control} name="when" label={say.lastDone(name)} placeholder={words.entryForm.whenHint} />
      <FormField control={control} name="meter" label={say.atMeter(name, meterTypedUnit(vehicle.meterUnit))} />
      <View style={styles.row}>
        <Press label={say.keep} hint={say.keepOf(name)} onPress={() => void keep()} style={styles.grow} />
        {mayBeUnknown ? <Press label={say.notKnown} hint={say.notKnownOf(name)} onPress={notKnown} /> : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  fields: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
});
