import { coldGate, type GradedPoint, type Vehicle } from '@weskopos/core';
import type { Visit } from '@weskopos/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { usePalette } from '../../kit/theme';
import { SPACE } from '../../kit/tokens';
import { Words } from '../../kit/Words';
import { useWorkshop } from '../../sync/workshop';
import { words } from '../../words/en';
import { putAct } from './putAct';
import { ends as say } from '../../words/en/pages/ends';

interface GateCardProps {
  readonly vehicle: Vehicle;
  readonly visit: Visit;
  readonly points: readonly GradedPoint[];
}

/** Four questions before anyone turns the key. Any *no* keeps the engine off, unless a lead says why not. */
export function GateCard({ vehicle, visit, points }: GateCardProps) {
  const palette = usePalette();
  const isLead = useWorkshop(({ person }) => person?.role === 'lead');
  const [reason, setReason] = useState('');
  const { id } = visit.inspection;
  const gate = coldGate(vehicle, visit.acts, points);
  const anyNo = gate.answers.some(({ answer, letOver }) => answer === 'no' && !letOver);
  const open = gate.answers.filter(({ answer }) => answer === 'open').map(({ question }) => words.gate[question]);
  return (
    <View style={styles.stack}>
      {gate.answers.map(({ question, answer }) => (
        <Choice
          key={question}
          label={words.gate[question]}
          options={['yes', 'no'] as const}
          word={(one) => (one === 'yes' ? say.yes : say.no)}
          value={answer === 'open' ? null : answer}
          onChoose={(one) => void putAct(id, { kind: 'gate', question, answer: one === 'yes' })}
        />
      ))}
      {gate.passed ? (
        <Card ground={palette.passWash}>
          <Words role="status">{gate.override ? say.mayBeStartedALead(gate.override) : say.passedTheEngineMayBe}</Words>
        </Card>
      ) : anyNo ? (
        <Card ground={palette.failWash}>
          <Words role="alert">{say.doNotStartTheEngine}</Words>
          {isLead ? (
            <>
              <Field label={say.whyItMayBeStarted} value={reason} onChangeText={setReason} maxLength={500} />
              <Press
                label={say.letItBeStarted}
                disabled={reason.trim() === ''}
                onPress={() => void putAct(id, { kind: 'gate-override', reason: reason.trim() })}
              />
            </>
          ) : (
            <Words>{say.aWorkshopLeadMayLet}</Words>
          )}
        </Card>
      ) : gate.override ? (
        <Card ground={palette.advisoryWash}>
          <Words role="status">{say.letOverStillToAnswer(gate.override, open.join(' '))}</Words>
        </Card>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ stack: { gap: SPACE.m } });
