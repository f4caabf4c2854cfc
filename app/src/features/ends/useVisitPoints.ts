import { gradedPoints, type GradedPoint, type GradingContext } from '@weskopos/core';
import { useMemo } from 'react';
import type { FoundVisit, useVisit } from '../../sync/useLife';
import { gradingOf } from '../../visit/visitContext';

/** What a visit is graded by. */
export function useGrading({ life, visit, rules, lookAhead }: FoundVisit): GradingContext {
  return useMemo(() => gradingOf(life, visit, rules, lookAhead), [life, visit, rules, lookAhead]);
}

/** Every point of a visit with its grade. */
export function useVisitPoints(found: ReturnType<typeof useVisit>): readonly GradedPoint[] {
  return useMemo(
    () => (found ? gradedPoints(gradingOf(found.life, found.visit, found.rules, found.lookAhead)) : []),
    [found],
  );
}
