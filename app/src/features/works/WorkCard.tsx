import type { LifeEntryContent, PriceList, Vehicle, WorkStepKind } from '@weskopos/core';
import { costOf } from '@weskopos/core/prices/priceList';
import type { OpenWork, Proposal } from '@weskopos/core/works/proposeWorks';
import { isClosed, type Work } from '@weskopos/core/works/worksOf';
import { prices } from '@weskopos/words/en/pages/prices';
import { costWords } from '@weskopos/words/priceWords';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { GradeMark } from '../../kit/GradeMark';
import { Press } from '../../kit/Press';
import { Slip } from '../../kit/Slip';
import { SPACE } from '../../kit/tokens';
import { gradeColours, usePalette } from '../../kit/theme';
import { Words } from '../../kit/Words';
import { putEntry } from '../../visit/putEntry';
import { works as say } from '@weskopos/words/en/pages/works';
import { capital, day, workTime } from '@weskopos/words/show';
import { gradeOfUrgency, reasonWords, stepWords, taskWords, urgencyWords } from '@weskopos/words/workWords';
import { CostForm } from './CostForm';
import { DoneForm } from './DoneForm';
import { PlanDay } from './PlanDay';
import { SayForm } from './SayForm';

/** What can be done with a work, by how it stands; the likely one first. */
const ACTS: Readonly<Record<Work['state'], readonly WorkStepKind[]>> = {
  proposed: ['put', 'agreed', 'planned', 'done', 'withdrawn'],
  put: ['agreed', 'declined', 'asked', 'withdrawn'],
  asked: ['agreed', 'declined', 'put', 'withdrawn'],
  agreed: ['planned', 'done', 'declined', 'withdrawn'],
  planned: ['done', 'planned', 'declined', 'withdrawn'],
  declined: ['put', 'agreed', 'withdrawn'],
  done: ['again'],
  withdrawn: ['again'],
};
/** Acts that ask for something first. */
type Asking = 'planned' | 'done' | 'declined' | 'asked' | 'withdrawn';
const ASKS: readonly WorkStepKind[] = ['planned', 'done', 'declined', 'asked', 'withdrawn'] satisfies Asking[];
const asks = (step: WorkStepKind): step is Asking => ASKS.includes(step);

const PLAIN = { words: '', on: null, keeper: '' } as const;

interface WorkCardProps {
  readonly work: Work & Partial<Pick<OpenWork, 'worse'>>;
  readonly vehicle: Vehicle;
  /** Last meter known, for comparison; null before any. */
  readonly lastMeter: number | null;
  /** What has to be done before it, where both are. */
  readonly after?: string | undefined;
  /** What the workshop asks; null where it has no list. */
  readonly list: PriceList | null;
  /** What went in the last time the same was done; empty where nobody wrote it. */
  readonly lastNumbers: string;
}

/** One work: what, why, how soon, how it stands; opened it shows what was said and what can be done. */
export function WorkCard({ work, vehicle, lastMeter, after, list, lastNumbers }: WorkCardProps) {
  const [open, setOpen] = useState(false);
  const [asking, setAsking] = useState<Asking | 'cost' | null>(null);
  const name = taskWords(work.task, vehicle);
  const cost = list ? costOf(work, list) : null;
  const step = (kind: WorkStepKind, change: Partial<Omit<LifeEntryContent & { kind: 'work-step' }, 'kind'>> = {}) => {
    setAsking(null);
    void putEntry(
      { vehicleId: vehicle.id, meter: null },
      { kind: 'work-step', refers: work.id, step: kind, ...PLAIN, ...change },
    );
  };
  const act = (kind: WorkStepKind) => (asks(kind) ? setAsking(kind) : step(kind));
  return (
    <View style={styles.card}>
      <WorkSlip
        {...{ work, vehicle, name, after, open }}
        state={stateOf(work)}
        onPress={() => {
          setOpen(!open);
          setAsking(null);
        }}
      />
      {open ? (
        <View style={styles.inside}>
          {work.note ? <Words>{work.note}</Words> : null}
          {partsOf(work) ? <Words size="m">{partsOf(work)}</Words> : null}
          {cost && list ? <Words strong>{costWords(cost, list.currency)}</Words> : null}
          {work.steps.map((said) => (
            <Words key={said.id} size="m" soft>
              {`${day(said.at)}  ${stepWords(said)}`}
            </Words>
          ))}
          {asking === null ? (
            <View style={styles.acts}>
              {ACTS[work.state].map((kind) => (
                <Press
                  key={kind}
                  label={say.act[kind]}
                  hint={say.actOn(say.act[kind], name)}
                  onPress={() => act(kind)}
                />
              ))}
              {isClosed(work) ? null : (
                <Press label={prices.cost} hint={prices.costOf(name)} onPress={() => setAsking('cost')} />
              )}
              {work.steps.length === 0 ? (
                <Press
                  kind="quiet"
                  label={say.takeBack}
                  onPress={() =>
                    void putEntry({ vehicleId: vehicle.id, meter: null }, { kind: 'undo', refers: work.id })
                  }
                />
              ) : null}
            </View>
          ) : null}
          {asking === 'cost' ? <CostForm {...{ work, list, lastNumbers }} onLeave={() => setAsking(null)} /> : null}
          {asking === 'planned' ? (
            <PlanDay onDay={(on) => step('planned', { on })} onLeave={() => setAsking(null)} />
          ) : null}
          {asking === 'done' ? <DoneForm {...{ work, vehicle, lastMeter }} onLeave={() => setAsking(null)} /> : null}
          {asking === 'declined' || asking === 'asked' || asking === 'withdrawn' ? (
            <SayForm
              label={say.words[asking]}
              needed={asking !== 'declined'}
              keep={say.act[asking]}
              onSay={(words) => step(asking, { words })}
              onLeave={() => setAsking(null)}
            />
          ) : null}
        </View>
      ) : null}
    </View>
  );
}

/** Parts as they are told: `2 × Pad set P-100`. */
const partsOf = ({ parts, minutes }: Work): string =>
  [
    ...parts.map(({ name, number, count }) => `${count} × ${[name, number].filter(Boolean).join(' ')}`),
    minutes === null ? '' : workTime(minutes),
  ]
    .filter(Boolean)
    .join(' · ');

const stateOf = ({ state, plannedOn, declines }: Work): string =>
  plannedOn !== null ? say.plannedFor(day(plannedOn)) : declines > 1 ? say.declinedTimes(declines) : say.state[state];

interface WorkSlipProps {
  readonly work: Proposal & { readonly state?: Work['state']; readonly worse?: Proposal | null };
  readonly vehicle: Vehicle;
  readonly name: string;
  readonly state: string;
  readonly after?: string | undefined;
  readonly open: boolean;
  readonly onPress: () => void;
}

const GOOD: readonly Work['state'][] = ['agreed', 'planned', 'done'];

/** A work in short, written down or only proposed. */
export function WorkSlip({ work, vehicle, name, state, after, open, onPress }: WorkSlipProps) {
  const palette = usePalette();
  const { urgency, from, to, reasons } = work.worse ?? work;
  const grade = gradeOfUrgency(urgency);
  const why = [urgencyWords(urgency, from, to), reasonWords(reasons, vehicle), after ? capital(say.after(after)) : ''];
  const colour = work.state && GOOD.includes(work.state) ? palette.pass : gradeColours(palette, grade).line;
  return (
    <Slip
      mark={<GradeMark grade={grade} height={44} />}
      name={name}
      figure={state}
      figureColour={colour}
      why={why.filter(Boolean).join('. ')}
      opens={{ open, onPress }}
      {...(work.worse ? { open: say.worse } : {})}
    />
  );
}

const styles = StyleSheet.create({
  card: { gap: SPACE.xs },
  inside: { gap: SPACE.s, paddingLeft: SPACE.l },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
