import type { ImportPlan } from '@weskopos/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { pickFile } from '../../kit/pickFile';
import { Press } from '../../kit/Press';
import { usePalette } from '../../kit/theme';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { call, reconnect, sendBundle } from '../../sync/workshop';
import { data as say } from '@weskopos/words/en/pages/data';
import { faultsOf, type Fault } from './faultsOf';
import { PlanWords } from './PlanWords';

/** Where one is with a bundle: nothing chosen, on its way, looked at, being written, done, or refused. */
type Stage =
  | { readonly at: 'none' }
  | { readonly at: 'sending'; readonly megabytes: string }
  | { readonly at: 'told'; readonly plan: ImportPlan }
  | { readonly at: 'taking'; readonly plan: ImportPlan }
  | { readonly at: 'taken'; readonly plan: ImportPlan }
  | { readonly at: 'refused'; readonly fault: Fault };

/** A bundle is chosen, told what it would do, and taken when one says so. */
export function BringIn() {
  const palette = usePalette();
  const [stage, setStage] = useState<Stage>({ at: 'none' });
  const refused = (error: unknown) => setStage({ at: 'refused', fault: faultsOf(error) });

  const choose = async () => {
    const file = await pickFile('.zip,application/zip');
    if (!file) return;
    setStage({ at: 'sending', megabytes: Math.max(0.1, file.size / 1e6).toFixed(1) });
    setStage({ at: 'told', plan: await sendBundle(file) });
  };
  const take = async (plan: ImportPlan) => {
    setStage({ at: 'taking', plan });
    setStage({ at: 'taken', plan: await call('takeImport', { params: { id: plan.id }, body: { keepOurs: true } }) });
    await reconnect();
  };
  const leave = async ({ id }: ImportPlan) => {
    setStage({ at: 'none' });
    await call('dropImport', { params: { id } });
  };
  const busy = stage.at === 'sending' || stage.at === 'taking';
  return (
    <Card>
      <Heading level={2}>{say.in}</Heading>
      <Words>{say.inHelp}</Words>
      <View role="status" aria-live="polite" style={styles.told}>
        {stage.at === 'sending' ? <Words>{say.sending(stage.megabytes)}</Words> : null}
        {stage.at === 'taking' ? <Words>{say.taking}</Words> : null}
        {stage.at === 'taken' ? <Words strong>{say.taken}</Words> : null}
        {stage.at === 'told' || stage.at === 'taken' ? <PlanWords plan={stage.plan} /> : null}
      </View>
      {stage.at === 'refused' ? (
        <View role="alert" style={styles.told}>
          <Words colour={palette.fail}>{stage.fault.words}</Words>
          {stage.fault.lines.map((line) => (
            <Words key={line} size="m">
              {line}
            </Words>
          ))}
          <Words soft>{say.wrong}</Words>
        </View>
      ) : null}
      {stage.at === 'told' ? (
        <View style={styles.row}>
          <Press label={say.cancel} onPress={() => void leave(stage.plan).catch(refused)} style={styles.grow} />
          {canTake(stage.plan) ? (
            <Press
              kind="main"
              label={say.take}
              onPress={() => void take(stage.plan).catch(refused)}
              style={styles.grow}
            />
          ) : null}
        </View>
      ) : (
        <Press label={say.choose} disabled={busy} onPress={() => void choose().catch(refused)} />
      )}
    </Card>
  );
}

const canTake = ({ blocking, records }: ImportPlan) =>
  blocking.length === 0 && Object.values(records).some(({ fresh }) => fresh > 0);

const styles = StyleSheet.create({
  told: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
});
