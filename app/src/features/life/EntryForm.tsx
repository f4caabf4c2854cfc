import {
  JOB_CODES,
  LOGGED_FLUIDS,
  METER_RANGE,
  PART_KINDS,
  parseMeasure,
  tyresAtHub,
  hubPlaces,
  jobKey,
  type Job,
  type JobCode,
  type LifeEntryContent,
  type LoggedFluid,
  type PartKind,
  type Vehicle,
} from '@weskopos/core';
import { addWeeks } from 'date-fns/addWeeks';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { nowIso } from '../../sync/clock';
import { words } from '../../words/en';
import { amount, capital, houseRules, jobWords, meterTypedUnit, meterWords, placeWords } from '../../words/show';
import { putEntry } from '../../visit/putEntry';

const KINDS = ['fuel', 'top-up', 'meter', 'job', 'fit', 'plan'] as const;
/** Weeks in which a coming trip will be done. */
const WEEKS = ['2', '4', '8', '13'] as const;
type FormKind = (typeof KINDS)[number];
const WITH_LITRES: readonly FormKind[] = ['fuel', 'top-up'];
const LITRES_MOST = 1000;
const FRESH_MOST = 60;
const TRIP = { least: 1, most: 200_000 } as const;

interface EntryFormProps {
  readonly vehicle: Vehicle;
  /** Last meter known, for comparison; null before any. */
  readonly lastMeter: number | null;
  readonly onDone: () => void;
}

const OWN = 'own' satisfies JobCode;

/** Jobs that can be written down, by their keys: those of the spec sheet first, in its words. */
function jobsOf({ spec }: Vehicle): ReadonlyMap<string, Job> {
  const jobs = new Map(spec.intervals.map(({ job }) => [jobKey(job), job]));
  for (const code of JOB_CODES) if (code !== OWN && !jobs.has(code)) jobs.set(code, { code, name: '' });
  return jobs;
}

/** Something that happened between visits, or is coming: fuel, a top-up, the meter, a job done, a part fitted, a long trip. */
export function EntryForm({ vehicle, lastMeter, onDone }: EntryFormProps) {
  const [kind, setKind] = useState<FormKind>('fuel');
  const [meter, setMeter] = useState('');
  const [litres, setLitres] = useState('');
  const [full, setFull] = useState<'full' | 'partial'>('full');
  const [price, setPrice] = useState('');
  const [fluid, setFluid] = useState<LoggedFluid>('engine-oil');
  const jobs = jobsOf(vehicle);
  const [job, setJob] = useState<string | null>(jobs.keys().next().value ?? null);
  const [ownJob, setOwnJob] = useState('');
  const [what, setWhat] = useState<PartKind>('tyre');
  const [place, setPlace] = useState<string | null>(null);
  const [fresh, setFresh] = useState('');
  const [trip, setTrip] = useState('');
  const [weeks, setWeeks] = useState<(typeof WEEKS)[number]>('4');
  const [tried, setTried] = useState(false);
  const [asked, setAsked] = useState(false);
  const hubs = hubPlaces(vehicle.axles);
  const places = what === 'tyre' ? hubs.flatMap((hub) => tyresAtHub(vehicle.axles, hub)) : hubs;
  const atWheel = what === 'tyre' || what === 'pads' || what === 'shoes' || what === 'disc';
  const range = METER_RANGE[vehicle.meterUnit];
  const read = parseMeasure(meter, meterTypedUnit(vehicle.meterUnit));
  const volume = parseMeasure(litres, houseRules().units.volume);
  const paid = parseMeasure(price, 'step');
  const begun = parseMeasure(fresh, 'mm');
  const far = parseMeasure(trip, meterTypedUnit(vehicle.meterUnit));
  const outOf = (one: typeof read, least: number, most: number) =>
    one.status === 'unreadable' || (one.status === 'value' && (one.stored < least || one.stored > most));
  const meterBad = outOf(read, range.least, range.most) || (kind === 'meter' && read.status === 'empty' && tried);
  const litresBad = outOf(volume, 0.01, LITRES_MOST) || (volume.status === 'empty' && tried);
  const priceBad = outOf(paid, 0, 100_000);
  const tripBad = outOf(far, TRIP.least, TRIP.most) || (far.status === 'empty' && tried);
  const freshBad = outOf(begun, 0.1, FRESH_MOST);
  // Behind the last visit it may be told late, or misread: asked once, then kept.
  const behind = read.status === 'value' && lastMeter !== null && read.stored < lastMeter;
  const placeBad = kind === 'fit' && atWheel && place === null;
  const content = (): LifeEntryContent | null => {
    const value = volume.status === 'value' ? volume.stored : null;
    switch (kind) {
      case 'fuel':
        return value === null || priceBad
          ? null
          : { kind, litres: value, full: full === 'full', price: paid.status === 'value' ? paid.stored : null };
      case 'top-up':
        return value === null ? null : { kind, fluid, litres: value };
      case 'meter':
        return read.status === 'value' ? { kind } : null;
      case 'job':
        return job === OWN
          ? ownJob.trim() === ''
            ? null
            : { kind, job: { code: 'own', name: ownJob.trim() } }
          : { kind, job: jobs.get(job ?? '') ?? { code: 'engine-oil', name: '' } };
      case 'plan':
        return far.status !== 'value' || tripBad
          ? null
          : { kind, distance: far.stored, until: addWeeks(new Date(nowIso()), Number(weeks)).toISOString() };
      case 'fit':
        return placeBad || freshBad
          ? null
          : {
              kind,
              what,
              place: atWheel ? (place ?? '') : '',
              fresh: begun.status === 'value' ? begun.stored : null,
              note: '',
            };
    }
  };
  const keep = async () => {
    setTried(true);
    const made = content();
    if (behind && !asked) return setAsked(true);
    if (!made || meterBad || (WITH_LITRES.includes(kind) && litresBad)) return;
    await putEntry({ vehicleId: vehicle.id, meter: read.status === 'value' ? read.stored : null }, made);
    onDone();
  };
  return (
    <View style={styles.form}>
      <Heading level={3}>Write down</Heading>
      <Choice label="What" options={KINDS} word={(one) => words.entryKind[one]} value={kind} onChoose={setKind} />
      <Field
        label={`${vehicle.meterUnit === 'h' ? 'Hour meter' : 'Odometer'}, ${meterTypedUnit(vehicle.meterUnit)}`}
        value={meter}
        onChangeText={(text) => {
          setMeter(text);
          setAsked(false);
        }}
        problem={
          meterBad
            ? `Meter: ${range.least} to ${meterWords(range.most, vehicle.meterUnit)}${kind === 'meter' ? '' : ', or empty'}.`
            : undefined
        }
        help={lastMeter === null ? '' : `Last known: ${meterWords(lastMeter, vehicle.meterUnit)}`}
      />
      {WITH_LITRES.includes(kind) ? (
        <Field
          label={`How much, ${houseRules().units.volume}`}
          value={litres}
          onChangeText={setLitres}
          problem={litresBad ? `How much: ${amount('volume', 0.01)} to ${amount('volume', LITRES_MOST)}.` : undefined}
        />
      ) : null}
      {kind === 'fuel' ? (
        <>
          <Choice
            label="Tank afterwards"
            options={['full', 'partial'] as const}
            word={(one) => (one === 'full' ? 'Full' : 'Not full')}
            value={full}
            onChoose={setFull}
          />
          <Field
            label="Price paid, if you like"
            value={price}
            onChangeText={setPrice}
            problem={priceBad ? 'Price: 0 to 100000, or empty.' : undefined}
          />
        </>
      ) : null}
      {kind === 'top-up' ? (
        <Choice
          label="Of what"
          options={LOGGED_FLUIDS}
          word={(one) => words.loggedFluid[one]}
          value={fluid}
          onChoose={setFluid}
        />
      ) : null}
      {kind === 'job' ? (
        <>
          <Choice
            label="Which job"
            options={[...jobs.keys(), OWN]}
            word={(one) => (one === OWN ? words.job.own : jobWords(jobs.get(one) ?? { code: 'own', name: one }))}
            value={job}
            onChoose={setJob}
          />
          {job === OWN ? (
            <Field
              label="What was done"
              value={ownJob}
              onChangeText={setOwnJob}
              problem={tried && ownJob.trim() === '' ? 'What was done: one to eighty characters.' : undefined}
            />
          ) : null}
        </>
      ) : null}
      {kind === 'plan' ? (
        <>
          <Field
            label={`How far over what is usual, ${meterTypedUnit(vehicle.meterUnit)}`}
            value={trip}
            onChangeText={setTrip}
            problem={
              tripBad
                ? `How far: ${meterWords(TRIP.least, vehicle.meterUnit)} to ${meterWords(TRIP.most, vehicle.meterUnit)}.`
                : undefined
            }
          />
          <Choice label="Within" options={WEEKS} word={(one) => `${one} weeks`} value={weeks} onChoose={setWeeks} />
        </>
      ) : null}
      {kind === 'fit' ? (
        <>
          <Choice
            label="Part"
            options={PART_KINDS}
            word={(one) => words.partKind[one]}
            value={what}
            onChoose={setWhat}
          />
          {atWheel ? (
            <Choice
              label={tried && placeBad ? 'Where: choose the wheel' : 'Where'}
              options={places}
              word={(one) => capital(placeWords(one, vehicle.axles.length))}
              value={place}
              onChoose={setPlace}
            />
          ) : null}
          <Field
            label="Measured when new, mm"
            value={fresh}
            onChangeText={setFresh}
            problem={freshBad ? `When new: 0.1 to ${FRESH_MOST} mm, or empty.` : undefined}
          />
        </>
      ) : null}
      {asked && behind ? (
        <Words role="alert">
          {`Behind the last visit’s ${meterWords(lastMeter ?? 0, vehicle.meterUnit)}. Misread? Correct it above; done earlier? Keep it again.`}
        </Words>
      ) : null}
      <View style={styles.row}>
        <Press label="Leave it" onPress={onDone} />
        <Press kind="main" label="Keep" onPress={() => void keep()} style={styles.grow} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: SPACE.m },
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
});
