import {
  ARRIVAL_STATES,
  LOADS,
  METER_RANGE,
  blankInspection,
  checkMeter,
  gradedPoints,
  parseMeasure,
  readable,
  vehicleState,
  newestRulebook,
  offeredFor,
  walkSteps,
  watchedPoints,
  type Load,
  type ArrivalState,
  type MeterAnswer,
} from '@weskopos/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { usePalette } from '../../kit/theme';
import { Label, Words } from '../../kit/Words';
import { useLife, useRulebooks } from '../../sync/useLife';
import { record, rulesFor } from '../../sync/workshop';
import { words } from '../../words/en';
import { day, meterTypedUnit, meterWords, templateWords } from '../../words/show';
import { CornerPhotos } from './CornerPhotos';
import { StandsNote } from './StandsNote';
import { NotHere } from '../../shell/NotHere';
import { gradingOf } from '../../visit/visitContext';
import { nowIso } from '../../sync/clock';

const STOOD_MOST_H = 10_000;
/** Fuel as a gauge shows it, share of a full tank. */
const FUEL = { Empty: 0, '¼': 0.25, '½': 0.5, '¾': 0.75, 'Full tank': 1 } as const;
type FuelStep = keyof typeof FUEL;
const FUEL_STEPS = Object.keys(FUEL) as FuelStep[];
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
  const rulebooks = useRulebooks();
  const [load, setLoad] = useState<Load>('light');
  const [stoodText, setStood] = useState('');
  const [corners, setCorners] = useState<readonly string[]>([]);
  const [fuel, setFuel] = useState<FuelStep | null>(null);
  const [template, setTemplate] = useState<string | null>(null);
  if (!life) return <NotHere />;

  const { vehicle } = life;
  const rulebook = newestRulebook(rulebooks);
  const signed = life.visits.filter(({ inspection }) => inspection.signedAt !== null);
  const lastSigned = signed.at(-1);
  const offered = offeredFor(rulebook.templates, vehicle, lastSigned !== undefined);
  const usual = lastSigned?.inspection.template;
  const chosen =
    offered.find(({ code }) => code === (template ?? usual)) ??
    offered.find(({ code }) => code === 'interim') ??
    offered[0];
  const focusOf = () => {
    if (!chosen?.onlyWatched || !lastSigned) return null;
    return watchedPoints(gradedPoints(gradingOf(life, lastSigned, rulesFor(rulebooks, lastSigned.inspection))));
  };
  const now = nowIso();
  const steps = chosen ? walkSteps({ vehicle, template: chosen, house: rulebook.house, focus: focusOf() }) : [];
  const pointCount = steps.reduce((sum, step) => sum + step.points.length, 0);
  const stands =
    state &&
    readable(
      steps.flatMap((step) => step.points),
      vehicleState({ state, startedAt: now }, [], Date.parse(now)),
    );
  const meterUnit = meterTypedUnit(vehicle.meterUnit);
  const meterName = vehicle.meterUnit === 'h' ? 'Hour meter' : 'Odometer';
  const range = METER_RANGE[vehicle.meterUnit];

  const last = life.visits.at(-1)?.inspection ?? null;
  const km = parseMeasure(meter.replace(/[\u202f ]/g, ''), meterUnit);
  const stored = (value: number) => (vehicle.meterUnit === 'h' ? Math.round(value * 10) / 10 : Math.round(value));
  const check =
    km.status === 'value'
      ? checkMeter(stored(km.stored), last && { meter: last.meter, at: last.startedAt }, now, vehicle.meterUnit)
      : null;
  const stood = parseMeasure(stoodText, 'h');
  const stoodBad =
    stood.status === 'unreadable' || (stood.status === 'value' && (stood.stored < 0 || stood.stored > STOOD_MOST_H));
  const celsius = parseMeasure(ambient, '°C');
  const meterProblem =
    km.status === 'unreadable' || check?.status === 'impossible'
      ? `${meterName}: ${vehicle.meterUnit === 'h' ? 'hours' : 'a distance'} from ${range.least} to ${meterWords(range.most, vehicle.meterUnit)}${vehicle.meterUnit === 'h' ? '' : ', e.g. 84310 or 52390mi'}.`
      : km.status === 'empty' && tried
        ? `${meterName}: read it before anything is touched.`
        : undefined;
  const ambientBad =
    celsius.status === 'unreadable' ||
    (celsius.status === 'value' && (celsius.stored < AMBIENT_RANGE.least || celsius.stored > AMBIENT_RANGE.most));
  const needsAnswer = check?.status === 'doubtful' && !(answer && check.answers.includes(answer));

  const begin = async () => {
    setTried(true);
    if (
      state === null ||
      km.status !== 'value' ||
      meterProblem ||
      ambientBad ||
      (state === 'cold' && stoodBad) ||
      needsAnswer ||
      !chosen ||
      pointCount === 0
    )
      return;
    const visit = crypto.randomUUID();
    await record({
      kind: 'inspection.start',
      body: blankInspection({
        id: visit,
        vehicleId: life.vehicle.id,
        startedAt: now,
        meter: stored(km.stored),
        meterAnswer: check?.status === 'doubtful' ? answer : null,
        complaint: complaint.trim(),
        state,
        ambientC: celsius.status === 'value' ? Math.round(celsius.stored * 10) / 10 : null,
        load,
        rulebook: rulebook.version,
        template: chosen.code,
        focus: focusOf(),
        stoodH: state === 'cold' && stood.status === 'value' ? stood.stored : null,
        corners: [...corners],
        fuel: fuel === null ? null : FUEL[fuel],
      }),
    });
    router.replace(`/vehicle/${id}/visit/${visit}/gate`);
  };

  return (
    <Page
      title="Arrival"
      over={`${life.vehicle.fleetCode} · ${life.vehicle.make} ${life.vehicle.model}`}
      back={`/vehicle/${id}`}
      foot={<Press kind="main" label="To the cold gate" onPress={() => void begin()} style={{ flex: 1 }} />}
    >
      <Field
        label={`${meterName}, ${meterUnit}`}
        value={meter}
        onChangeText={(text) => {
          setMeter(text);
          setAnswer(null);
        }}
        inputMode="text"
        autoFocus
        problem={meterProblem}
        help={last ? `Last visit ${day(last.startedAt)}: ${meterWords(last.meter, vehicle.meterUnit)}` : 'First visit.'}
      />
      {check?.status === 'good' && check.since !== null ? (
        <Words
          soft
        >{`${meterWords(check.since, vehicle.meterUnit)} in ${Math.round(check.sinceDays ?? 0)} days since the last visit.`}</Words>
      ) : null}
      {check?.status === 'doubtful' ? (
        <Card ground={palette.advisoryWash}>
          <Label colour={palette.advisory}>
            {check.code === 'behind'
              ? `Behind the last reading of ${meterWords(check.last, vehicle.meterUnit)}. Why?`
              : `Very far since the last reading of ${meterWords(check.last, vehicle.meterUnit)}. Why?`}
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
              Choose an answer, or correct the meter.
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
      {state === 'cold' ? (
        <Field
          label="Hours it has stood"
          value={stoodText}
          onChangeText={setStood}
          inputMode="text"
          problem={stoodBad ? `Hours it has stood: 0 to ${STOOD_MOST_H}, or empty.` : undefined}
        />
      ) : null}
      {vehicle.makeUp.power === 'electric' ? null : (
        <Choice label="Fuel" options={FUEL_STEPS} word={(one) => one} value={fuel} onChoose={setFuel} />
      )}
      <Choice label="Loaded" options={LOADS} word={(one) => words.load[one]} value={load} onChoose={setLoad} />
      <Choice
        label="Inspection"
        options={offered.map(({ code }) => code)}
        word={(code) => templateWords(offered.find((one) => one.code === code) ?? { code, name: '' })}
        value={chosen?.code ?? null}
        onChoose={setTemplate}
      />
      <Words size="m" soft>
        {pointCount === 0
          ? 'The last visit left nothing to look at again.'
          : `${pointCount} points${chosen?.nothingCarried ? ', nothing carried from before' : ''}. First: ${steps[0] ? (words.stop[steps[0].stop] ?? '').toLowerCase() : ''}.`}
      </Words>
      {stands && pointCount > 0 ? <StandsNote stands={stands} /> : null}
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
      <CornerPhotos photos={corners} onChange={setCorners} />
    </Page>
  );
}
