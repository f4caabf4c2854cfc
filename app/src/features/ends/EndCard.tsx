import {
  NO_PROOF,
  endRule,
  looseEnds,
  proofAsked,
  proofDoubts,
  proofProblems,
  type Act,
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
import { Press } from '../../kit/Press';
import { usePalette } from '../../kit/theme';
import { SPACE } from '../../kit/tokens';
import { Label, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { endTitle } from '@weskopos/words/endTitle';
import { amount, dayAndTime } from '@weskopos/words/show';
import { Filling } from './Filling';
import { ProofLine, tightnessLine } from './ProofLine';
import { putAct } from './putAct';
import { ends as say } from '@weskopos/words/en/pages/ends';

interface EndCardProps {
  readonly end: LooseEnd;
  readonly openedBy: string;
  readonly vehicle: Vehicle;
  readonly house: HouseRules;
  readonly visitId: string;
  readonly acts: readonly Act[];
}

/** What a closing proves that is proved by one glance: the button says it, and one tap closes. */
function glanceOf(asked: readonly ProofField[], end: LooseEnd): string | null {
  return asked.length === 1 && asked[0] === 'seenTo' ? (words.seenTo[end.opened.end] ?? null) : null;
}

/** One thing that is open, and what proves that it is closed again. */
export function EndCard({ end, openedBy, vehicle, house, visitId, acts }: EndCardProps) {
  const [asking, setAsking] = useState(false);
  const [proof, setProof] = useState<EndProof>(NO_PROOF);
  const [tried, setTried] = useState(false);
  const { opened, filledL } = end;
  const { spec } = vehicle;
  const rule = endRule(opened.end);
  const asked = proofAsked(opened.end, { spec, house });
  const glance = glanceOf(asked, end);
  const title = endTitle(end, vehicle);
  // What was filled in stages needs no second telling.
  const told: EndProof = { ...proof, litres: proof.litres ?? (filledL > 0 ? filledL : null) };
  const problems = proofProblems(opened, told, { spec, house });
  const doubts = proofDoubts(opened, told, { spec, house });
  const put = (closing: EndProof) => void putAct(visitId, { kind: 'close', opens: opened.id, proof: closing });
  const close = () => {
    if (asked.length > 0 && !asking) return setAsking(true);
    setTried(true);
    if (problems.length === 0 && doubts.length === 0) put(told);
  };
  const tightness = tightnessLine(opened.end, { spec, house });
  const newFilter = looseEnds(acts).some((one) => one.opened.end === 'oil-filter');
  return (
    <Card>
      <Label size="xl">{title}</Label>
      <Words size="s" soft>
        {say.openedBy(dayAndTime(opened.at), openedBy)}
      </Words>
      {rule.cautions.length > 0 ? (
        <Words size="s">{rule.cautions.map((caution) => words.atPoint[caution]).join(' ')}</Words>
      ) : null}
      {tightness ? (
        <Words size="s" soft>
          {tightness}
        </Words>
      ) : null}
      {rule.proof.includes('litres') ? (
        <Filling end={end} spec={spec} house={house} visitId={visitId} newFilter={newFilter} />
      ) : null}
      {asking ? (
        <ProofForm
          asked={asked}
          end={end}
          title={title}
          proof={told}
          vehicle={vehicle}
          house={house}
          problems={tried ? problems : []}
          doubts={problems.length === 0 ? doubts : []}
          onChange={(change) => setProof((before) => ({ ...before, kept: [], ...change }))}
          onKeep={(code) => setProof({ ...proof, kept: [...proof.kept, code] })}
        />
      ) : null}
      {glance ? (
        <Press label={glance} hint={`${glance}: ${title}`} onPress={() => put({ ...told, seenTo: true })} />
      ) : (
        <Press
          kind={asking ? 'main' : 'plain'}
          label={asked.length > 0 && !asking ? say.closeIt : say.itIsClosed}
          hint={`${asked.length > 0 && !asking ? say.closeItNow : say.itIsClosed}: ${title}`}
          onPress={close}
        />
      )}
    </Card>
  );
}

interface ProofFormProps {
  readonly asked: readonly ProofField[];
  readonly end: LooseEnd;
  readonly title: string;
  readonly proof: EndProof;
  readonly vehicle: Vehicle;
  readonly house: HouseRules;
  readonly problems: ReturnType<typeof proofProblems>;
  readonly doubts: readonly ProofDoubt[];
  readonly onChange: (change: Partial<EndProof>) => void;
  readonly onKeep: (code: ProofDoubt['code']) => void;
}

/** What a closing is proved by; what is kept when told is a tap further. */
function ProofForm({ asked, end, title, proof, vehicle, house, problems, doubts, onChange, onKeep }: ProofFormProps) {
  const palette = usePalette();
  const [more, setMore] = useState(false);
  const { extra } = endRule(end.opened.end);
  const line = (field: ProofField) => (
    <ProofLine
      key={field}
      field={field}
      title={title}
      end={end}
      proof={proof}
      spec={vehicle.spec}
      house={house}
      onChange={onChange}
    />
  );
  return (
    <>
      {asked.map(line)}
      {more ? extra.map(line) : null}
      {extra.length > 0 && !more ? (
        <Press label={say.moreToTell} hint={`${say.moreToTell} ${title}`} onPress={() => setMore(true)} />
      ) : null}
      {problems.length > 0 ? (
        <Words role="alert" colour={palette.fail}>
          {problems.map(({ field, allowed }) => `${words.proof[field]}: ${allowed}.`).join(' ')}
        </Words>
      ) : null}
      {doubts.map((doubt) => (
        <View key={doubt.code} style={styles.doubt}>
          <Words role="alert" colour={palette.advisory}>
            {doubtWords(doubt)}
          </Words>
          <Press label={say.itIsSo} onPress={() => onKeep(doubt.code)} />
        </View>
      ))}
    </>
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

const styles = StyleSheet.create({ doubt: { gap: SPACE.xs } });
