import type { ColdGate, GateLine } from '@weskopos/core';
import { useState } from 'react';
import { Card } from '../../kit/Card';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { usePalette } from '../../kit/theme';
import { Words } from '../../kit/Words';
import { useWorkshop } from '../../sync/workshop';
import { words } from '@weskopos/words/en';
import { putAct } from './putAct';
import { ends as say } from '@weskopos/words/en/pages/ends';

interface GateCardProps {
  readonly gate: ColdGate;
  readonly visitId: string;
}

/** Whether the engine may be started, and over what a lead has let it or could. */
export function GateCard({ gate, visitId }: GateCardProps) {
  const palette = usePalette();
  const over = gate.answers.filter(({ letOver }) => letOver !== null);
  const shut = gate.answers.filter(({ answer, letOver }) => answer === 'no' && letOver === null);
  const open = gate.answers.filter(({ answer }) => answer === 'open').map(({ question }) => words.gate[question]);
  return (
    <>
      {over.map(({ question, letOver }) => (
        <Words key={question}>{say.letOver(words.gate[question], letOver ?? '')}</Words>
      ))}
      {shut.map((line) => (
        <ShutCard key={line.question} line={line} visitId={visitId} />
      ))}
      {gate.passed ? (
        <Card ground={palette.passWash}>
          <Words role="status">{over.length > 0 ? say.mayBeStarted : say.passedTheEngineMayBe}</Words>
        </Card>
      ) : shut.length === 0 ? (
        <Words role="status" soft>
          {say.stillToBeSeen(open.join(' '))}
        </Words>
      ) : null}
    </>
  );
}

/** One *no*: the engine stays off, unless a lead says why not over this one. */
function ShutCard({ line, visitId }: { readonly line: GateLine; readonly visitId: string }) {
  const palette = usePalette();
  const isLead = useWorkshop(({ person }) => person?.role === 'lead');
  const [reason, setReason] = useState('');
  const question = words.gate[line.question];
  const letBe = () => void putAct(visitId, { kind: 'gate-override', question: line.question, reason: reason.trim() });
  return (
    <Card ground={palette.failWash}>
      <Words role="alert">{say.doNotStartOver(question)}</Words>
      {isLead ? (
        <>
          <Field label={say.whyItMayBeStarted(question)} value={reason} onChangeText={setReason} maxLength={500} />
          <Press label={say.letItBeStarted} disabled={reason.trim() === ''} onPress={letBe} />
        </>
      ) : (
        <Words>{say.aWorkshopLeadMayLet}</Words>
      )}
    </Card>
  );
}
