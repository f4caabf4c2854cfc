import type { Life, Visit, VisitSummary, YardEntry } from '@weskopos/contract';
import {
  countedVisits,
  isSigned,
  isWrong,
  lifeStanding,
  newestRulebook,
  openEnds,
  standingSummary,
  verdictOfVisit,
  waitsOf,
  type LooseEnd,
  type Rulebook,
  type StandingPoint,
  type Template,
  type Vehicle,
  type Wait,
} from '@weskopos/core';
import { stickerOf, type NextDue } from '@weskopos/core/jobs/stickerOf';
import { isClosed, worksOf, type Work } from '@weskopos/core/works/worksOf';
import { meterLog, usualMinutes, type MeterLog } from '@weskopos/core/today';
import { newestVisits } from './foldLife';
import { perObject } from './perObject';
import { rulesFor } from './workshopState';

/** A visit that is half done, as the board tells it. */
export interface HalfDone {
  readonly visitId: string;
  readonly template: Pick<Template, 'code' | 'name'>;
  readonly inspector: string;
  /** Points that were looked at, of all of the visit's. */
  readonly seen: number;
  readonly of: number;
  readonly ends: readonly LooseEnd[];
  /** What runs by itself and was not heard yet. */
  readonly waits: readonly Wait[];
}

/** A work that is not closed, as boards tell it. */
export interface WorkInBrief extends Pick<
  Work,
  'id' | 'task' | 'urgency' | 'state' | 'plannedOn' | 'minutes' | 'saidAt' | 'declines'
> {
  /** The last word is the keeper's. */
  readonly answered: boolean;
}

/** A signature: which visit's, when (ISO 8601), and whose. */
export interface Signature {
  readonly visitId: string;
  readonly signedAt: string;
  readonly by: string;
}

/**
 * What is told of a vehicle without opening its life: the yard, the boards and the search read this alone. A life of ten
 * years is a hundred times as large, and is read when its own pages open.
 */
export interface Brief extends YardEntry {
  /** How it was made, and by which version of the rules: one made otherwise is made again. */
  readonly made: { readonly form: number; readonly rulebook: number };
  /** What stands wrong, each by its last look. */
  readonly wrong: readonly StandingPoint[];
  readonly dues: readonly NextDue[];
  readonly meters: MeterLog;
  /** What the next visit usually takes, min. */
  readonly minutes: number;
  readonly halfDone: HalfDone | null;
  /** The last few, oldest first; given up visits are left out. */
  readonly signatures: readonly Signature[];
  /** Works that are not closed. */
  readonly works: readonly WorkInBrief[];
  /** Ids of every visit of the life. */
  readonly visits: readonly string[];
}

/** A vehicle is seldom signed so often between two looks at the yard. */
const SIGNATURES = 4;
/** Counts the ways a brief was ever made: another one is made again from the life. */
const FORM = 2;

/** How a brief is made today. */
export const briefMaking = (rulebooks: readonly Rulebook[]): Brief['made'] => ({
  form: FORM,
  rulebook: newestRulebook(rulebooks).version,
});

/** Whether a brief says what would be said today. */
export const isCurrent = ({ made }: Brief, { form, rulebook }: Brief['made']): boolean =>
  made.form === form && made.rulebook === rulebook;

/** A life in brief; summed up again only when the life or the rules are others. */
export const briefOf = perObject((life: Life, rulebooks: readonly Rulebook[]): Brief => {
  const { vehicle, visits, entries } = life;
  const rulebook = newestRulebook(rulebooks);
  const { signed, open } = newestVisits(life);
  const standing = lifeStanding(life, (inspection) => rulesFor(rulebooks, inspection));
  return {
    made: briefMaking(rulebooks),
    vehicle,
    standing: signed ? standingSummary(standing) : null,
    last: signed ? summaryOf(signed) : null,
    open: open ? summaryOf(open) : null,
    version: '',
    wrong: standing.points.filter(({ graded }) => isWrong(graded.result.grade)),
    dues: stickerOf(vehicle, countedVisits(visits), entries, rulebook.house).dues,
    meters: meterLog(vehicle, visits, entries),
    minutes: usualMinutes(life, rulebook),
    halfDone: open ? halfDoneOf(vehicle, open, rulebooks) : null,
    signatures: signaturesOf(visits).slice(-SIGNATURES),
    works: worksOf(entries)
      .filter((work) => !isClosed(work))
      .map(workInBrief),
    visits: visits.map(({ inspection }) => inspection.id),
  };
});

const workInBrief = ({ id, task, urgency, state, plannedOn, minutes, saidAt, declines, steps }: Work): WorkInBrief => ({
  ...{ id, task, urgency, state, plannedOn, minutes, saidAt, declines },
  answered: (steps.at(-1)?.keeper ?? '') !== '',
});

const signaturesOf = (visits: readonly Visit[]): readonly Signature[] =>
  visits.flatMap(({ inspection, signedBy, inspector }) =>
    isSigned(inspection) && inspection.signedAt !== null
      ? [{ visitId: inspection.id, signedAt: inspection.signedAt, by: signedBy ?? inspector }]
      : [],
  );

/** The verdict is left to the standing: it is the worst of more than this visit. */
function summaryOf({ inspection: { id, startedAt, meter, signedAt } }: Visit): VisitSummary {
  return { inspectionId: id, startedAt, meter, signedAt, grade: null, counts: null };
}

function halfDoneOf(vehicle: Vehicle, visit: Visit, rulebooks: readonly Rulebook[]): HalfDone {
  const rules = rulesFor(rulebooks, visit.inspection);
  const { points } = verdictOfVisit(vehicle, visit, rules);
  const { code, name } = rules.template;
  return {
    visitId: visit.inspection.id,
    template: { code, name },
    inspector: visit.inspector,
    seen: points.filter(({ result }) => result.grade !== 'not-seen').length,
    of: points.length,
    ends: openEnds(visit.acts),
    waits: waitsOf(visit.acts).filter(({ done }) => !done),
  };
}
