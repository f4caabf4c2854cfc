import {
  NO_PROOF,
  endRule,
  nextFillL,
  capacityL,
  proofDoubts,
  proofProblems,
  torqueOf,
  type EndProof,
  type HouseRules,
  type LooseEnd,
  type ProofDoubt,
  type ProofField,
  type Vehicle,
} from '@weskopos/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { usePalette } from '../../kit/theme';
import { SPACE } from '../../kit/tokens';
import { Label, Words } from '../../kit/Words';
import { words } from '../../words/en';
import { amount, dayAndTime, placeWords } from '../../words/show';
import { TypedReading } from '../../controls/TypedReading';
import { putAct } from './putAct';
import { ends as say } from '../../words/en/pages/ends';
import { common } from '../../words/en/pages/common';

interface EndCardProps {
  readonly end: LooseEnd;
  readonly openedBy: string;
  readonly vehicle: Vehicle;
  readonly house: HouseRules;
  readonly visitId: string;
}

/** What is open and where, as its card is headed. */
export function endTitle({ opened }: LooseEnd, axles: number): string {
  return [words.end[opened.end], placeWords(opened.place, axles)].filter(Boolean).join(', ');
}

/** One thing that is open, and what proves that it is closed again. */
export function EndCard({ end, openedBy, vehicle, house, visitId }: EndCardProps) {
  const palette = usePalette();
  const [asking, setAsking] = useState(false);
  const [proof, setProof] = useState<EndProof>(NO_PROOF);
  const [tried, setTried] = useState(false);
  const { opened, filledL } = end;
  const rule = endRule(opened.end);
  const title = endTitle(end, vehicle.axles.length);
  // What was filled in stages needs no second telling.
  const told: EndProof = { ...proof, litres: proof.litres ?? (filledL > 0 ? filledL : null) };
  const problems = proofProblems(opened, told);
  const doubts = proofDoubts(opened, told, { spec: vehicle.spec, house });
  const set = (change: Partial<EndProof>) => setProof((before) => ({ ...before, kept: [], ...change }));
  const close = () => {
    if (rule.proof.length > 0 && !asking) return setAsking(true);
    setTried(true);
    if (problems.length > 0 || doubts.length > 0) return;
    void putAct(visitId, { kind: 'close', opens: opened.id, proof: told });
  };
  return (
    <Card>
      <Label size="xl">{title}</Label>
      <Words size="s" soft>
        {say.openedBy(dayAndTime(opened.at), openedBy)}
      </Words>
      {rule.cautions.length > 0 ? (
        <Words size="s">{rule.cautions.map((caution) => words.atPoint[caution]).join(' ')}</Words>
      ) : null}
      {rule.proof.includes('litres') ? (
        <Filling
          capacity={rule.fluid && capacityL(vehicle.spec, rule.fluid)}
          filledL={filledL}
          visitId={visitId}
          opens={opened.id}
        />
      ) : null}
      {asking
        ? rule.proof.map((field) => (
            <ProofLine
              key={field}
              field={field}
              title={title}
              end={end}
              proof={told}
              vehicle={vehicle}
              onChange={set}
            />
          ))
        : null}
      {asking && tried && problems.length > 0 ? (
        <Words role="alert" colour={palette.fail}>
          {problems.map(({ field, allowed }) => `${words.proof[field]}: ${allowed}.`).join(' ')}
        </Words>
      ) : null}
      {asking && problems.length === 0
        ? doubts.map((doubt) => (
            <View key={doubt.code} style={styles.doubt}>
              <Words role="alert" colour={palette.advisory}>
                {doubtWords(doubt)}
              </Words>
              <Press label={say.itIsSo} onPress={() => setProof({ ...proof, kept: [...proof.kept, doubt.code] })} />
            </View>
          ))
        : null}
      <Press
        kind={asking ? 'main' : 'plain'}
        label={rule.proof.length > 0 && !asking ? say.closeIt : say.itIsClosed}
        hint={`${rule.proof.length > 0 && !asking ? say.closeItNow : say.itIsClosed}: ${title}`}
        onPress={close}
      />
    </Card>
  );
}

interface FillingProps {
  readonly capacity: number | null;
  readonly filledL: number;
  readonly visitId: string;
  readonly opens: string;
}

function Filling({ capacity, filledL, visitId, opens }: FillingProps) {
  const [shown, setShown] = useState(0);
  const next = nextFillL(capacity, filledL);
  return (
    <View style={styles.doubt}>
      <Words>
        {[
          filledL > 0 ? say.inSoFar(amount('volume', filledL)) : say.nothingFilledInYet,
          capacity === null ? say.theSpecSheetTellsNo : say.capacity(amount('volume', capacity)),
          next === null ? '' : say.nowThenLookAtThe(amount('volume', next)),
        ]
          .filter(Boolean)
          .join(' ')}
      </Words>
      <TypedReading
        key={shown}
        measure="volume"
        label={say.litresOfThisStage}
        value={null}
        onValue={(litres) => {
          setShown(shown + 1);
          void putAct(visitId, { kind: 'fill', opens, litres });
        }}
      />
    </View>
  );
}

function doubtWords({ code, expected, unitSlip }: ProofDoubt): string {
  const said =
    expected === null
      ? ''
      : code === 'torque-off'
        ? ` (${amount('torque', expected)})`
        : code === 'over-capacity'
          ? ` (${amount('volume', expected)})`
          : ` (${expected})`;
  const slip = !unitSlip ? '' : code === 'torque-off' ? say.itWouldFitInThe : say.itWouldFitInUs;
  return `${words.proofDoubt[code]}${said}.${slip}`;
}

interface ProofLineProps {
  readonly field: ProofField;
  readonly title: string;
  readonly end: LooseEnd;
  readonly proof: EndProof;
  readonly vehicle: Vehicle;
  readonly onChange: (change: Partial<EndProof>) => void;
}

function ProofLine({ field, title, end, proof, vehicle, onChange }: ProofLineProps) {
  const label = `${words.proof[field]}: ${title}`;
  const rule = endRule(end.opened.end);
  switch (field) {
    case 'torqueNm': {
      const spec = rule.fastener && torqueOf(vehicle.spec, rule.fastener);
      return (
        <Line
          head={
            spec
              ? say.torqueSpec(amount('torque', spec.newtonMetres), spec.socket ? `, ${spec.socket}` : '')
              : say.torqueTheSpecSheetIs
          }
        >
          <TypedReading
            measure="torque"
            label={label}
            value={proof.torqueNm}
            onValue={(torqueNm) => onChange({ torqueNm })}
          />
        </Line>
      );
    }
    case 'litres':
      return (
        <Line head={say.litresPutInAllStages}>
          <TypedReading
            measure="volume"
            label={label}
            value={proof.litres}
            onValue={(litres) => onChange({ litres })}
          />
        </Line>
      );
    case 'level':
      return (
        <Line head={say.levelAfterwards0LowerMark}>
          <TypedReading measure="level" label={label} value={proof.level} onValue={(level) => onChange({ level })} />
        </Line>
      );
    case 'fasteners':
      return (
        <Field
          label={say.fastenersBackInOf(end.opened.fasteners ?? 0)}
          aria-label={label}
          inputMode="numeric"
          defaultValue={proof.fasteners === null ? '' : String(proof.fasteners)}
          onChangeText={(text) => onChange({ fasteners: /^\d{1,2}$/.test(text.trim()) ? Number(text) : null })}
        />
      );
    case 'washer':
      return (
        <Choice
          label={say.washer}
          options={['new', 'reused'] as const}
          word={(one) => (one === 'new' ? common.newOne : say.reused)}
          value={proof.washer}
          onChoose={(washer) => onChange({ washer })}
        />
      );
    case 'oldSealSeen':
    case 'onGround': {
      const value = proof[field];
      return (
        <Choice
          label={words.proof[field]}
          options={['yes', 'no'] as const}
          word={(one) => (one === 'yes' ? say.yes : say.no)}
          value={value === null ? null : value ? 'yes' : 'no'}
          onChoose={(one) => onChange({ [field]: one === 'yes' })}
        />
      );
    }
  }
}

function Line({ head, children }: { readonly head: string; readonly children: React.ReactNode }) {
  return (
    <View style={styles.doubt}>
      <Label size="m" soft>
        {head}
      </Label>
      {children}
    </View>
  );
}

const styles = StyleSheet.create({ doubt: { gap: SPACE.xs } });
