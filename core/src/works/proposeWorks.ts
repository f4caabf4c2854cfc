import { addDays } from 'date-fns/addDays';
import { differenceInDays } from 'date-fns/differenceInDays';
import { formatISO } from 'date-fns/formatISO';
import { cataloguePoint, type PointCode } from '../catalogue/catalogue';
import { FARTHEST_DAYS } from '../jobs/dueWhen';
import type { PartKind } from '../parts/lifeEntry';
import { URGENCIES, type Urgency, type WorkContent, type WorkReason, type WorkTask } from '../parts/work';
import { POINTS_OF_JOB, partFoundAt } from '../report/settledBy';
import type { ToDo } from '../report/toDo';
import { groupBy } from '../sums/groupBy';
import { JOB_CODES, type JobCode } from '../vehicle/jobs';
import { parsePlace, placeOf } from '../vehicle/place';
import type { Place } from '../vehicle/vehicle';
import { isClosed, taskKey, type Work } from './worksOf';

/** A work that follows from what is known and that nobody has written down yet. */
export type Proposal = Pick<WorkContent, 'task' | 'reasons' | 'urgency' | 'from' | 'to'>;

/** What is to be done at a vehicle: what is written down, and what follows from what is known. */
export interface WorksBoard {
  readonly proposed: readonly Proposal[];
  readonly open: readonly OpenWork[];
  /** Done or withdrawn, newest first. */
  readonly closed: readonly Work[];
}
/** A work that is not closed. */
export interface OpenWork extends Work {
  /** What is known by now says it is wanted sooner, or more is wrong, than when it was last spoken of. */
  readonly worse: Proposal | null;
}

/** Parts that are renewed by a work of their own. */
const CODE_OF_PART: Readonly<Partial<Record<PartKind, WorkTask['code']>>> = {
  pads: 'pads',
  shoes: 'shoes',
  disc: 'discs',
  tyre: 'tyres',
  battery: 'battery',
  belt: 'auxiliary-belt',
};
/** Both sides of an axle go together. */
const BY_AXLE: readonly WorkTask['code'][] = ['pads', 'shoes', 'discs', 'tyres'];
/** A level is topped up where it is low: that asks for the reason, not for a change of the fluid. */
const isLevel = (point: PointCode) => point.endsWith('.level');

/** The axle a place is on; the vehicle as a whole where it is on none. */
function wholeAxle(place: Place): Place {
  const parsed = parsePlace(place);
  return parsed ? placeOf({ axle: parsed.axle, side: null, tyre: null }) : '';
}

/** What puts right what was read at a point. */
function taskAt(point: PointCode, place: Place): WorkTask {
  const part = partFoundAt(point);
  const code = part === null ? undefined : CODE_OF_PART[part];
  if (code) return { code, point: null, name: '', place: BY_AXLE.includes(code) ? wholeAxle(place) : '' };
  const job = isLevel(point) ? undefined : JOB_CODES.find((one) => renews(one, point));
  if (job) return { code: job, point: null, name: '', place: '' };
  return { code: 'put-right', point, name: '', place: cataloguePoint(point).paired ? wholeAxle(place) : place };
}
const renews = (job: JobCode, point: PointCode) => POINTS_OF_JOB[job]?.includes(point) ?? false;

const isoDay = (at: string | Date) => formatISO(new Date(at), { representation: 'date' });

function proposalOf(one: ToDo): Proposal {
  const plain = { from: null, to: null };
  switch (one.kind) {
    case 'finding': {
      const { graded, inspectionId, at } = one.found;
      const { point, place } = graded;
      const grade = graded.result.grade === 'fail' ? 'fail' : 'advisory';
      const urgency = one.stops ? 'not-driven' : grade === 'fail' ? 'before-next' : 'next-visit';
      const reason: WorkReason = { kind: 'finding', inspectionId, point, place, grade, at };
      return { ...plain, task: taskAt(point, place), reasons: [reason], urgency };
    }
    case 'bolts': {
      const { fromKm, toKm, since } = one.again;
      const task: WorkTask = { code: 'wheel-bolts', point: null, name: '', place: '' };
      return { ...plain, task, reasons: [{ kind: 'bolts', fromKm, toKm, at: since }], urgency: 'before-next' };
    }
    case 'job': {
      const { job } = one.due;
      const on = isoDay(one.when.at);
      const task: WorkTask = { code: job.code, point: null, name: job.name, place: '' };
      const reasons: WorkReason[] = [{ kind: 'due', job, on }];
      return { task, reasons, urgency: one.late ? 'before-next' : 'by', from: one.late ? null : on, to: null };
    }
    case 'runs-out': {
      const { point, place, spot, days, at, status } = one.part;
      const from = isoDay(one.from);
      const high = days?.high ?? null;
      const to = high === null ? null : isoDay(addDays(new Date(at), Math.min(high, FARTHEST_DAYS)));
      const reasons: WorkReason[] = [{ kind: 'runs-out', point, place, spot, at, from, to }];
      const isNow = status === 'reached';
      return {
        task: taskAt(point, place),
        reasons,
        urgency: isNow ? 'before-next' : 'by',
        from: isNow ? null : from,
        to: isNow ? null : to,
      };
    }
  }
}

const isAfter = (at: string, than: string) => Date.parse(at) > Date.parse(than);
const rankOf = (urgency: Urgency) => URGENCIES.indexOf(urgency);

/** Several reasons for the same work: the most urgent says when. */
function joined(same: readonly Proposal[]): Proposal {
  const byUrgency = [...same].sort(
    (a, b) => rankOf(a.urgency) - rankOf(b.urgency) || (a.from ?? '').localeCompare(b.from ?? ''),
  );
  const [first] = byUrgency;
  if (!first) throw new Error('nothing to join');
  return { ...first, reasons: byUrgency.flatMap(({ reasons }) => reasons) };
}

/** What follows from what is to be done: the same work once, both sides of an axle together, most urgent first. */
export function proposeWorks(list: readonly ToDo[]): Proposal[] {
  return [...groupBy(list.map(proposalOf), ({ task }) => taskKey(task)).values()]
    .map(joined)
    .sort((a, b) => rankOf(a.urgency) - rankOf(b.urgency));
}

/** What is known by now goes beyond what was known when the work was last spoken of. */
function isWorse(now: Proposal, { urgency, reasons, saidAt }: Work): boolean {
  if (rankOf(now.urgency) < rankOf(urgency)) return true;
  const failed = (list: readonly WorkReason[]) =>
    list.filter((one) => one.kind === 'finding' && one.grade === 'fail').length;
  const isNewer = now.reasons.some((one) => one.kind === 'finding' && isAfter(one.at, saidAt));
  return isNewer && failed(now.reasons) > failed(reasons);
}

/** A date by the meter moves a little with every reading of it. */
const SAME_DUE_DAYS = 31;

/**
 * Whether a closed work has settled what is proposed: everything that speaks for it was known by then. What is read or
 * falls due later speaks for a work of its own; so does what is more urgent than it was when it was withdrawn.
 */
function isSettledBy(now: Proposal, work: Work): boolean {
  const isDone = work.state === 'done';
  const wasDue = work.reasons.flatMap((one) => (one.kind === 'due' ? [one.on] : []));
  const wasKnown = (one: WorkReason) =>
    one.kind === 'due'
      ? !isDone && wasDue.some((on) => differenceInDays(new Date(one.on), new Date(on)) <= SAME_DUE_DAYS)
      : !isAfter(one.at, work.saidAt);
  return now.reasons.every(wasKnown) && (isDone || !isWorse(now, work));
}

/** What is written down beside what follows from what is known: nothing is told twice. */
export function worksBoard(list: readonly ToDo[], works: readonly Work[]): WorksBoard {
  const proposals = new Map(proposeWorks(list).map((one) => [taskKey(one.task), one]));
  const open = works.filter((work) => !isClosed(work));
  const taken = new Set(open.map(({ task }) => taskKey(task)));
  const lastClosed = new Map(works.filter(isClosed).map((work) => [taskKey(work.task), work]));
  return {
    proposed: [...proposals].flatMap(([key, one]) => {
      const closed = lastClosed.get(key);
      return taken.has(key) || (closed && isSettledBy(one, closed)) ? [] : [one];
    }),
    open: open
      .map((work): OpenWork => {
        const now = proposals.get(taskKey(work.task));
        return { ...work, worse: now && isWorse(now, work) ? now : null };
      })
      .sort((a, b) => rankOf(a.worse?.urgency ?? a.urgency) - rankOf(b.worse?.urgency ?? b.urgency)),
    closed: works.filter(isClosed).sort((a, b) => b.saidAt.localeCompare(a.saidAt)),
  };
}
