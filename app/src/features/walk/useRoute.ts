import type { StoredFinding, Visit } from '@weskopos/contract';
import { vehicleState, type HouseRules, type Vehicle, type WalkStep } from '@weskopos/core';
import { paceOf, visitRoute } from '@weskopos/core/walk';
import { useEffect, useMemo, useRef, useState } from 'react';
import { nowMs } from '../../sync/clock';
import type { RouteAnswer } from '../../workers/routeAnswer';
import { createRoutePlanner } from '../../workers/routePlanner';

/** Planning waits until the hand rests, ms: a reading answers first. */
const REST_MS = 400;

interface RouteWanted {
  readonly vehicle: Vehicle;
  readonly visit: Visit;
  readonly earlier: readonly Visit[];
  readonly steps: readonly WalkStep[];
  /** Keys of the steps still open. */
  readonly open: ReadonlySet<string>;
  readonly beginWith: HouseRules['beginWith'];
  /** The stop one stands at. */
  readonly at: string;
}

/** A planned route with the steps of the walk it leads through. */
export interface WalkRoute extends RouteAnswer {
  /** Steps by stop of the route. */
  readonly steps: ReadonlyMap<string, readonly WalkStep[]>;
}

/** The best way on from here, planned anew in a worker whenever something has changed; null until it is known. */
export function useRoute({ vehicle, visit, earlier, steps, open, at, beginWith }: RouteWanted): WalkRoute | null {
  const [route, setRoute] = useState<WalkRoute | null>(null);
  const asked = useRef<WalkRoute['steps']>(new Map());
  const planner = useRef<ReturnType<typeof createRoutePlanner> | null>(null);
  const secondsOf = useMemo(() => {
    const mine = (findings: readonly StoredFinding[]) => findings.filter(({ by }) => by === visit.inspector);
    return paceOf(earlier.map(({ findings }) => mine(findings)));
  }, [earlier, visit.inspector]);
  const { acts, inspection } = visit;
  useEffect(() => {
    const timer = setTimeout(() => {
      planner.current ??= createRoutePlanner((answer) => setRoute(answer && { ...answer, steps: asked.current }));
      const now = nowMs();
      const { question, steps: byStop } = visitRoute({
        steps,
        isOpen: ({ id }) => open.has(id),
        state: vehicleState(inspection, acts, now),
        acts,
        nowMs: now,
        axles: vehicle.axles.length,
        hasEngine: vehicle.makeUp.power !== 'electric',
        at,
        beginWith,
        secondsOf,
      });
      asked.current = byStop;
      planner.current.ask(question);
    }, REST_MS);
    return () => clearTimeout(timer);
  }, [steps, open, inspection, acts, vehicle, at, beginWith, secondsOf]);
  useEffect(
    () => () => {
      planner.current?.end();
      planner.current = null;
    },
    [],
  );
  return route;
}
