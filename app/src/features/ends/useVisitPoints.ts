import { gradedPoints, type GradedPoint } from '@weskopos/core';
import { useMemo } from 'react';
import type { useVisit } from '../../sync/useLife';
import { gradingOf } from '../../visit/visitContext';

/** Every point of a visit with its grade. */
export function useVisitPoints(found: ReturnType<typeof useVisit>): readonly GradedPoint[] {
  return useMemo(
    () => (found ? gradedPoints(gradingOf(found.life, found.visit, found.rules, found.lookAhead)) : []),
    [found],
  );
}
