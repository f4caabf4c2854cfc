import {
  isSigned,
  verdictOfVisit,
  newestRulebook,
  walkSteps,
  openEnds,
  watchedPoints,
  type Inspection,
  type Rulebook,
  type Template,
  type WalkStep,
} from '@weskopos/core';
import type { Life } from '@weskopos/contract';
import { useMemo } from 'react';
import { useRulebooks } from '../../sync/useLife';
import { rulesFor } from '../../sync/workshop';
import { pointsOfWorks } from '@weskopos/core/works/pointsOfWorks';
import { worksOf } from '@weskopos/core/works/worksOf';
import { usualVisit } from '@weskopos/core/today';

/** The inspections a vehicle can be given, and what the chosen one looks at. */
export interface Offered {
  readonly rulebook: Rulebook;
  readonly offered: readonly Template[];
  readonly chosen: Template | undefined;
  /** Points the visit keeps to; null for all of the template's. */
  readonly focus: Inspection['focus'];
  readonly steps: readonly WalkStep[];
  readonly pointCount: number;
}

/** @param template code of the one asked for; null for the one the last visit had */
export function useOffered(life: Life, template: string | null): Offered {
  const rulebooks = useRulebooks();
  return useMemo(() => {
    const { vehicle } = life;
    const rulebook = newestRulebook(rulebooks);
    const lastSigned = life.visits.findLast(({ inspection }) => isSigned(inspection));
    const { offered, chosen } = usualVisit(life, rulebook, template);
    const focus =
      chosen?.onlyWatched && lastSigned
        ? watchedPoints(
            verdictOfVisit(vehicle, lastSigned, rulesFor(rulebooks, lastSigned.inspection)).points,
            openEnds(lastSigned.acts).map(({ opened }) => opened),
            pointsOfWorks(worksOf(life.entries), lastSigned.inspection.startedAt),
          )
        : null;
    const steps = chosen ? walkSteps({ vehicle, template: chosen, house: rulebook.house, focus }) : [];
    const pointCount = steps.reduce((sum, step) => sum + step.points.length, 0);
    return { rulebook, offered, chosen, focus, steps, pointCount };
  }, [life, rulebooks, template]);
}
