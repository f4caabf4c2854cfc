import {
  answeredBy,
  gradePoint,
  pointKey,
  type Finding,
  type Grade,
  type PointGrade,
  type PointRef,
  type WalkStep,
} from '@weskopos/core';
import { withDraft, type Background, type Draft } from '../../visit/visitContext';

/** What one point of a step is judged to be now, with what is in hand. */
export interface Verdict {
  readonly key: string;
  readonly ref: PointRef;
  readonly result: PointGrade;
  readonly finding: Finding | undefined;
}

/** How much a grade asks for the eye: the worst first, what nobody looked at last. */
const WEIGHT: Record<Grade, number> = { fail: 0, advisory: 1, pass: 2, recorded: 3, 'not-seen': 4 };

/** Nothing was said of it yet: the dashed edge tells it. */
export const isUntouched = ({ reasons, override, carried }: PointGrade): boolean =>
  reasons[0]?.rule === 'not-looked-at' && !override && !carried;

/** Every point of a step judged, worst first; points nobody has looked at only where the step has no other. */
export function verdictsOf({ points }: WalkStep, { grading }: Background, draft: Draft | null): Verdict[] {
  const all = points.map((ref): Verdict => {
    const key = pointKey(ref.point, ref.place);
    const mine = draft?.key === key ? draft : null;
    // What another moment of the visit has read answers here too, until it is read again.
    const other = mine ? null : answeredBy(ref, grading.standing);
    const result = gradePoint(other ?? ref, withDraft(grading, ref, mine));
    return { key, ref, result, finding: grading.standing.get(key) };
  });
  const told = all.filter(({ result }) => !isUntouched(result));
  const shown = told.length > 0 ? told : all.slice(0, 1);
  return [...shown].sort((a, b) => WEIGHT[a.result.grade] - WEIGHT[b.result.grade]);
}
