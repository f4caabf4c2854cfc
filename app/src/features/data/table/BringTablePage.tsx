import type { SheetLook, SheetPlan } from '@weskopos/contract';
import { SHEET_KINDS, type SheetColumn } from '@weskopos/core/sheets/sheetKinds';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../../kit/Card';
import { Choice } from '../../../kit/Choice';
import { LinkButton } from '../../../kit/LinkButton';
import { pickFile } from '../../../kit/pickFile';
import { Press } from '../../../kit/Press';
import { Problem } from '../../../kit/Problem';
import { Heading, Words } from '../../../kit/Words';
import { Page } from '../../../shell/Page';
import { call, reconnect, sendSheet } from '../../../sync/workshop';
import { table as say } from '@weskopos/words/en/pages/table';
import { tableFault } from './tableFault';
import { ColumnCard } from './ColumnCard';
import { EveryRow, unsaidFields } from './EveryRow';
import { keepMapping, keptMapping } from './mappingKept';
import { DoubtsCard, FatesCard, RowsCard } from './PlannedCard';
import { WrittenCard } from './WrittenCard';

type Reading = SheetLook['guess'];
/** Where one is with a table. */
type Step =
  | { readonly at: 'none' }
  | { readonly at: 'sending'; readonly megabytes: string }
  | { readonly at: 'columns'; readonly look: SheetLook }
  | { readonly at: 'planned'; readonly look: SheetLook; readonly plan: SheetPlan }
  | { readonly at: 'taken'; readonly plan: SheetPlan };

const FILES = '.csv,.tsv,.txt,.xlsx,text/csv,application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
const ASKED_EVERY_MS = 700;
const MOST_VEHICLES = 12;

/** A table of another program: a file, its columns, what becomes of each row, and then it is taken. */
export function BringTablePage() {
  const [step, setStep] = useState<Step>({ at: 'none' });
  const [reading, setReading] = useState<Reading | null>(null);
  const [remembered, setRemembered] = useState(false);
  const [busy, setBusy] = useState<'planning' | 'taking' | null>(null);
  const [leaveRefused, setLeaveRefused] = useState(false);
  const [problem, setProblem] = useState<string>();
  const id = step.at === 'columns' || step.at === 'planned' ? step.look.id : null;
  const progress = useProgress(busy ? id : null);
  const failed = (error: unknown) => setProblem(tableFault(error));

  const looked = (look: SheetLook, kept: boolean) => {
    const before = kept ? keptMapping(look) : undefined;
    setReading({ ...look.guess, ...before });
    setRemembered(before !== undefined);
    setStep({ at: 'columns', look });
  };
  const choose = async () => {
    const file = await pickFile(FILES);
    if (!file) return;
    setProblem(undefined);
    setStep({ at: 'sending', megabytes: Math.max(0.1, file.size / 1e6).toFixed(1) });
    try {
      looked(await sendSheet(file, file.name), true);
    } catch (error) {
      setStep({ at: 'none' });
      failed(error);
    }
  };
  const another = () => {
    if (id) call('dropSheet', { params: { id } }).catch(failed);
    setStep({ at: 'none' });
    setReading(null);
    setLeaveRefused(false);
    setProblem(undefined);
  };
  const lookAgain = (said: { file?: Reading['file']; kind?: Reading['kind'] }) => {
    if (!id || !reading) return;
    setProblem(undefined);
    call('lookAtSheet', { params: { id }, body: { file: reading.file, kind: reading.kind, ...said } }).then(
      (look) => looked(look, false),
      failed,
    );
  };
  const plan = (look: SheetLook, by: Reading) => {
    setBusy('planning');
    setProblem(undefined);
    call('planSheet', { params: { id: look.id }, body: by })
      .then((told) => {
        keepMapping(look, by);
        setReading(by);
        setStep({ at: 'planned', look, plan: told });
      }, failed)
      .finally(() => setBusy(null));
  };
  const take = (look: SheetLook, by: Reading) => {
    setBusy('taking');
    setProblem(undefined);
    call('takeSheet', { params: { id: look.id }, body: { reading: by, leaveRefused } })
      .then(async (told) => {
        setStep({ at: 'taken', plan: told });
        await reconnect();
      })
      .catch(failed)
      .finally(() => setBusy(null));
  };
  const canTake =
    step.at === 'planned' && say.makes(step.plan.makes) !== '' && (step.plan.rows.refused === 0 || leaveRefused);
  const unsaid = reading ? unsaidFields(reading).some(({ field, needed }) => needed && !reading.fixed[field]) : true;
  return (
    <Page
      title={say.title}
      back="/data"
      foot={
        step.at === 'columns' && reading ? (
          <>
            <Press label={say.another} disabled={busy !== null} onPress={another} style={styles.grow} />
            <Press
              kind="main"
              label={say.plan}
              disabled={busy !== null || unsaid}
              onPress={() => plan(step.look, reading)}
              style={styles.grow}
            />
          </>
        ) : step.at === 'planned' && reading ? (
          <>
            <Press
              label={say.back}
              disabled={busy !== null}
              onPress={() => setStep({ at: 'columns', look: step.look })}
              style={styles.grow}
            />
            <Press
              kind="main"
              label={say.take}
              disabled={busy !== null || !canTake}
              onPress={() => take(step.look, reading)}
              style={styles.grow}
            />
          </>
        ) : undefined
      }
    >
      {step.at === 'none' || step.at === 'sending' ? (
        <Card>
          <Words>{say.help}</Words>
          <View role="status" aria-live="polite">
            {step.at === 'sending' ? <Words>{say.sending(step.megabytes)}</Words> : null}
          </View>
          <Press label={say.choose} disabled={step.at === 'sending'} onPress={() => void choose()} />
        </Card>
      ) : null}
      <Problem>{problem}</Problem>
      <View role="status" aria-live="polite">
        {busy ? <Words strong>{busy === 'planning' ? say.planning : say.taking}</Words> : null}
        {busy && progress && progress.rows > 0 ? (
          <Words soft>{say.progress(progress.done, progress.rows)}</Words>
        ) : null}
      </View>
      {step.at === 'columns' && reading ? (
        <>
          <Card>
            <Words strong>{say.ofFile(step.look.name, step.look.headings.length)}</Words>
            {remembered ? <Words soft>{say.remembered}</Words> : null}
            <Choice
              label={say.what}
              options={SHEET_KINDS}
              word={(kind) => say.kind[kind]}
              value={reading.kind}
              onChoose={(kind) => lookAgain({ kind })}
            />
          </Card>
          <WrittenCard
            look={step.look}
            reading={reading}
            onStyle={(style) => setReading({ ...reading, style })}
            onFile={(file) => lookAgain({ file })}
          />
          <EveryRow reading={reading} onChange={(fixed) => setReading({ ...reading, fixed })} />
          <Card>
            <Heading level={2}>{say.columns}</Heading>
            <Words soft>{say.columnsHelp}</Words>
            {reading.columns.map((column, n) => (
              <ColumnCard
                key={n}
                kind={reading.kind}
                heading={say.column(n + 1, step.look.headings[n] ?? '')}
                sample={step.look.sample.map((row) => row[n] ?? '')}
                column={column}
                onChange={(one) => setReading({ ...reading, columns: withColumn(reading.columns, n, one) })}
              />
            ))}
          </Card>
        </>
      ) : null}
      {step.at === 'planned' && reading ? (
        <>
          <FatesCard plan={step.plan} />
          <DoubtsCard
            kind={reading.kind}
            plan={step.plan}
            answers={reading.answers}
            busy={busy !== null}
            onAnswer={(code, answer) =>
              plan(step.look, { ...reading, answers: { ...reading.answers, [code]: answer } })
            }
          />
          {step.plan.rows.refused > 0 ? (
            <Press
              role="checkbox"
              label={say.leaveRefused(step.plan.rows.refused)}
              chosen={leaveRefused}
              onPress={() => setLeaveRefused(!leaveRefused)}
            />
          ) : null}
          <RowsCard plan={step.plan} />
        </>
      ) : null}
      {step.at === 'taken' ? (
        <Card>
          <Words strong>{say.taken}</Words>
          <Words>{say.became(say.makes(step.plan.makes))}</Words>
          {step.plan.makes.visits > 0 ? <Words soft>{say.then}</Words> : null}
          {step.plan.vehicles.slice(0, MOST_VEHICLES).map((vehicle) => (
            <LinkButton key={vehicle.id} href={`/vehicle/${vehicle.id}/life`} label={say.life(vehicle.fleetCode)} />
          ))}
          {step.plan.vehicles.length > MOST_VEHICLES ? (
            <Words soft>{say.moreVehicles(step.plan.vehicles.length - MOST_VEHICLES)}</Words>
          ) : null}
          <Press label={say.another} onPress={another} />
        </Card>
      ) : null}
    </Page>
  );
}

/** One column changed; a field is said by one column only. */
function withColumn(columns: readonly SheetColumn[], n: number, changed: SheetColumn): Reading['columns'] {
  return columns.map((column, at) => {
    if (at === n) return changed;
    const isSame = changed.field !== null && changed.field !== 'reading' && column.field === changed.field;
    return isSame ? { field: null, unit: null, at: null } : column;
  });
}

interface Progress {
  readonly id: string;
  readonly done: number;
  readonly rows: number;
}

/** How far the server is with a table; null where nobody waits for it. */
function useProgress(id: string | null): Progress | null {
  const [progress, setProgress] = useState<Progress | null>(null);
  useEffect(() => {
    if (!id) return undefined;
    const ask = () =>
      void call('sheetProgress', { params: { id } }).then(
        (told) => setProgress({ id, ...told }),
        // A progress that is not told is none: the answer itself tells what went wrong.
        () => undefined,
      );
    const timer = setInterval(ask, ASKED_EVERY_MS);
    return () => clearInterval(timer);
  }, [id]);
  return progress?.id === id ? progress : null;
}

const styles = StyleSheet.create({
  grow: { flex: 1 },
});
