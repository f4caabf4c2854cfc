import { useState } from 'react';
import { Card } from '../../kit/Card';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { Problem } from '../../kit/Problem';
import { useDeaf } from '../../kit/useDeaf';
import { Heading, Words } from '../../kit/Words';
import { call, reconnect } from '../../sync/workshop';
import { sheet as say } from '@weskopos/words/en/pages/sheet';
import { problemWords } from '../../words/problemWords';

/** Takes out what is told of a vehicle's keeper, for leads: asked once, with why. */
export function KeeperCard({ vehicleId }: { readonly vehicleId: string }) {
  const [step, setStep] = useState<'closed' | 'asked' | 'working' | 'done'>('closed');
  const [why, setWhy] = useState('');
  const [problem, setProblem] = useState<string>();
  const deaf = useDeaf(step === 'asked');
  const takeOut = async () => {
    setStep('working');
    setProblem(undefined);
    try {
      await call('blankKeeper', { params: { id: vehicleId }, body: { why } });
      setStep('done');
      await reconnect();
    } catch (error) {
      setStep('asked');
      setProblem(problemWords(error));
    }
  };
  return (
    <Card>
      <Heading level={2}>{say.keeper}</Heading>
      {step === 'done' ? (
        <Words role="status">{say.keeperDone}</Words>
      ) : (
        <>
          <Words>{say.keeperHelp}</Words>
          {step === 'closed' ? <Press kind="quiet" label={say.keeperAsk} onPress={() => setStep('asked')} /> : null}
        </>
      )}
      {step === 'asked' || step === 'working' ? (
        <>
          <Words role="alert">{say.keeperSure}</Words>
          <Field label={say.keeperWhy} value={why} onChangeText={setWhy} maxLength={500} />
          <Problem>{problem}</Problem>
          <Press
            label={step === 'working' ? say.keeperWorking : say.keeperYes}
            deaf={deaf}
            disabled={step === 'working' || why.trim() === ''}
            onPress={() => void takeOut()}
          />
          <Press kind="main" label={say.keeperKeep} disabled={step === 'working'} onPress={() => setStep('closed')} />
        </>
      ) : null}
    </Card>
  );
}
