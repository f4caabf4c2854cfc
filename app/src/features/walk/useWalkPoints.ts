import {
  createGrader,
  pointKey,
  quantityRows,
  walkSteps,
  type PointRef,
  type GradedPoint,
  type WalkStep,
} from '@weskopos/core';
import { lapsedGrade } from '@weskopos/core/walk';
import { useDeferredValue, useMemo, useState } from 'react';
import { useFleet, type FoundVisit } from '../../sync/useLife';
import { gradingOf, historyOf, type Background } from '../../visit/visitContext';

/** A visit's points as they stand, and the steps they are walked in. */
export interface WalkPoints {
  /** What the point in hand is judged by, at once. */
  readonly background: Background;
  readonly steps: readonly WalkStep[];
  /** Every point graded; a paint behind the one in hand. */
  readonly points: readonly GradedPoint[];
  /** Ids of the steps with something not seen yet. */
  readonly openSteps: ReadonlySet<string>;
}

/** Grades a visit as it is walked. */
export function useWalkPoints({ life, visit, earlier, rules, lookAhead }: FoundVisit): WalkPoints {
  const { vehicle, entries } = life;
  const { inspection } = visit;
  const fleet = useFleet();
  const history = useMemo(
    () => historyOf(vehicle, inspection, earlier, rules, { entries, fleet }),
    [vehicle, inspection, earlier, rules, entries, fleet],
  );
  const grading = useMemo(() => gradingOf(life, visit, rules, lookAhead), [life, visit, rules, lookAhead]);
  const { findings } = visit;
  const background = useMemo(
    () => ({
      grading,
      history,
      lapsed: ({ point, place }: PointRef) => lapsedGrade(grading.standing.get(pointKey(point, place)), findings),
    }),
    [grading, history, findings],
  );
  const steps = useMemo(
    () => walkSteps({ vehicle, template: rules.template, house: rules.house, focus: inspection.focus }),
    [vehicle, rules, inspection.focus],
  );
  const [grade] = useState(createGrader);
  // The point in hand answers first; the spine and the rest of the inspection follow a paint later.
  const settled = useDeferredValue(grading);
  const points = useMemo(() => grade(settled), [grade, settled]);
  const openSteps = useMemo(() => openStepsOf(steps, points), [steps, points]);
  return { background, steps, points, openSteps };
}

function openStepsOf(steps: readonly WalkStep[], points: readonly GradedPoint[]): ReadonlySet<string> {
  const unseen = new Set(
    quantityRows(points)
      .filter((point) => point.result.grade === 'not-seen' && point.finding?.access !== 'not-reached')
      .map(({ key }) => key),
  );
  const isOpen = (step: WalkStep) => step.points.some(({ point, place }) => unseen.has(pointKey(point, place)));
  return new Set(steps.filter(isOpen).map(({ id }) => id));
}
