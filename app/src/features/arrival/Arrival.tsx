import {
  ARRIVAL_STATES,
  BASELINE,
  CATALOGUE_VERSION,
  METER_RANGE_KM,
  checkMeter,
  parseMeasure,
  type ArrivalState,
  type MeterAnswer,
} from '@weskopos/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Page } from '../../kit/Page';
import { Press } from '../../kit/Press';
import { usePalette } from '../../kit/theme';
import { Label, Words } from '../../kit/Words';
import { useLife } from '../../sync/useLife';
import { record } from '../../sync/workshop';
import { words } from '../../words/en';
import { day, kilometres } from '../../words/show';
import { NotHere } from '../root/NotHere';

const AMBIENT_RANGE = { least: -60, most: 60 } as const;

/** Who it is, how far it has come, what the keeper says, and in what state it stands. */
export function Arrival() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const life = useLife(id);
  const router = useRouter();
  const palette = usePalette();
  const [meter, setMeter] = useState('');
  const [answer, setAnswer] = useState<MeterAnswer | null>(null);
  const [ambient, setAmbient] = useState('');
  const [state, setState] = useState<ArrivalState | null>(null);
  const [complaint, setComplaint] = useState('');
  const [tried, setTried] = useState(false);
  if (!life) return <NotHere />;

  const last = life.visits.at(-1)?.inspection ?? null;
  const km = parseMeasure(meter.replace(/[\u202f ]/g, ''), 'km');
  const now = new Date().toISOString();
  const check =
    km.status === 'value'
      ? checkMeter(Math.round(km.stored), last && { km: last.meterKm, at: last.startedAt }, now)
      : null;
  const celsius = parseMeasure(ambient, '°C');
  const meterProblem =
    km.status === 'unreadable' || check?.status === 'impossible'
      ? `Odometer: a distance from ${METER_RANGE_KM.least} to ${kilometres(METER_RANGE_KM.most)}, e.g. 84310 or 52390mi.`
      : km.status === 'empty' && tried
        ? 'Odometer: read it before anything is touched.'
        : undefined;
  const ambientBad =
    celsius.status === 'unreadable' ||
    (celsius.status === 'value' && (celsius.stored < AMBIENT_RANGE.least || celsius.stored > AMBIENT_RANGE.most));
  const needsAnswer = check?.status === 'doubtful' && !(answer && check.answers.includes(answer));

  const begin = async () => {
    setTried(true);
    if (state === null || km.status !== 'value' || meterProblem || ambientBad || needsAnswer) return;
    const visit = crypto.randomUUID();
    await record({
      kind: 'inspection.start',
      body: {
        id: visit,
        vehicleId: life.vehicle.id,
        startedAt: now,
        meterKm: Math.round(km.stored),
        meterAnswer: check?.status === 'doubtful' ? answer : null,
        complaint: complaint.trim(),
        state,
        ambientC: celsius.status === 'value' ? Math.round(celsius.stored * 10) / 10 : null,
        limitSheet: `${BASELINE.code} ${BASELINE.version}`,
        catalogueVersion: CATALOGUE_VERSION,
        signedAt: null,
      },
    });
    router.replace(`/vehicle/${id}/visit/${visit}`);
  };

  return (
    <Page
      title="Arrival"
      over={`${life.vehicle.fleetCode} · ${life.vehicle.make} ${life.vehicle.model}`}
      back={`/vehicle/${id}`}
      foot={<Press kind="main" label="To the cold gate" onPress={() => void begin()} style={{ flex: 1 }} />}
    >
      <Field
        label="Odometer, km"
        value={meter}
        onChangeText={(text) => {
          setMeter(text);
          setAnswer(null);
        }}
        inputMode="text"
        autoFocus
        problem={meterProblem}
        help={last ? `Last visit ${day(last.startedAt)}: ${kilometres(last.meterKm)}` : 'First visit.'}
      />
      {check?.status === 'good' && check.sinceKm !== null ? (
        <Words
          soft
        >{`${kilometres(check.sinceKm)} in ${Math.round(check.sinceDays ?? 0)} days since the last visit.`}</Words>
      ) : null}
      {check?.status === 'doubtful' ? (
        <Card ground={palette.advisoryWash}>
          <Label colour={palette.advisory}>
            {check.code === 'behind'
              ? `Behind the last reading of ${kilometres(check.lastKm)}. Why?`
              : `Very far since the last reading of ${kilometres(check.lastKm)}. Why?`}
          </Label>
          <Words>Correct it above if you misread it now; otherwise your answer is kept with the visit.</Words>
          <Choice
            label="Why"
            hideLabel
            options={check.answers}
            word={(one) => words.meterAnswer[one]}
            value={answer}
            onChoose={setAnswer}
          />
          {tried && needsAnswer ? (
            <Words role="alert" colour={palette.fail}>
              Choose an answer, or correct the odometer.
            </Words>
          ) : null}
        </Card>
      ) : null}
      <Choice
        label="It stands"
        options={ARRIVAL_STATES}
        word={(one) => words.state[one]}
        value={state}
        onChoose={setState}
      />
      {tried && state === null ? (
        <Words role="alert" colour={palette.fail}>
          Choose how it stands: it decides what can be measured now.
        </Words>
      ) : null}
      <Field
        label="Ambient temperature, °C"
        value={ambient}
        onChangeText={setAmbient}
        inputMode="text"
        problem={
          ambientBad ? `Ambient temperature: ${AMBIENT_RANGE.least} to ${AMBIENT_RANGE.most} °C, or empty.` : undefined
        }
        help="Tyre pressures are judged at 20 °C; this brings them there."
      />
      <Field
        label="What the keeper says"
        value={complaint}
        onChangeText={setComplaint}
        multiline
        maxLength={2000}
        placeholder="in the keeper’s own words"
      />
    </Page>
  );
}
