import type { Life, Visit } from '@weskopos/contract';
import { useEffect, useMemo, useState } from 'react';
import { shallow, useShallow } from 'zustand/shallow';
import {
  isSigned,
  lookAheadOf,
  newestRulebook,
  rulesOf,
  type FleetKnowledge,
  type Inspection,
  type LookAhead,
  type Rulebook,
  type Rules,
} from '@weskopos/core';
import { briefOf, type Brief } from './brief';
import { holdLife, rulesFor, selectLife, selectRulebooks, useWorkshop } from './workshop';

/** One vehicle's life with this device's waiting changes; undefined while it is read, and where it is not known. */
export function useLife(vehicleId: string): Life | undefined {
  useEffect(() => (vehicleId ? holdLife(vehicleId) : undefined), [vehicleId]);
  const base = useWorkshop((state) => state.lives[vehicleId]);
  const pending = useWorkshop((state) => state.pending);
  const person = useWorkshop((state) => state.person);
  return useMemo(
    () => selectLife({ lives: base ? { [vehicleId]: base } : {}, pending, person }, vehicleId),
    [base, pending, person, vehicleId],
  );
}

/** Whether a vehicle's life is still being read from the device's disk: nobody knows yet that it is not here. */
export function useIsComing(vehicleId: string): boolean {
  return useWorkshop(({ lives, absent }) => !(vehicleId in lives) && !absent.has(vehicleId));
}

/** What is told of each vehicle without opening its life, with this device's waiting changes, by vehicle. */
export function useBriefs(): ReadonlyMap<string, Brief> {
  const briefs = useWorkshop((state) => state.briefs);
  const lives = useWorkshop((state) => state.lives);
  const pending = useWorkshop((state) => state.pending);
  const person = useWorkshop((state) => state.person);
  const rulebooks = useRulebooks();
  return useMemo(() => {
    const known = new Map(Object.entries(briefs));
    const added = pending.flatMap(({ kind, body }) => (kind === 'vehicle.put' ? [body.id] : []));
    for (const id of new Set([...Object.keys(lives), ...added])) {
      const life = selectLife({ lives, pending, person }, id);
      if (life && (life !== lives[id] || !known.has(id))) known.set(id, briefOf(life, rulebooks));
    }
    return known;
  }, [briefs, lives, pending, person, rulebooks]);
}

/** The same list object as long as its members are the same: what is made of it is not made anew. */
function useStable<T>(list: readonly T[]): readonly T[] {
  const [stable, setStable] = useState(list);
  if (stable === list || shallow(stable, list)) return stable;
  setStable(list);
  return list;
}

/** One visit of a vehicle, the signed ones before it, and the rules it is made under. */
export interface FoundVisit {
  readonly life: Life;
  readonly visit: Visit;
  readonly earlier: readonly Visit[];
  readonly rules: Rules;
  /** Forecasts for a visit that is not signed; those of a signed one are on record. */
  readonly lookAhead: LookAhead | undefined;
}

/** One visit and the signed ones before it; undefined while it is not known. */
export function useVisit(vehicleId: string, visitId: string): FoundVisit | undefined {
  const life = useLife(vehicleId);
  const visit = life?.visits.find(({ inspection }) => inspection.id === visitId);
  const rules = useRules(visit?.inspection);
  const earlier = useStable(
    life && visit
      ? life.visits.filter(
          ({ inspection }) => isSigned(inspection) && inspection.startedAt < visit.inspection.startedAt,
        )
      : NO_VISITS,
  );
  const fleet = useFleet();
  const entries = useStable(life?.entries ?? NO_ENTRIES);
  const vehicle = life?.vehicle;
  const inspection = visit?.inspection;
  const lookAhead = useMemo(
    () =>
      vehicle && inspection && !inspection.ahead
        ? lookAheadOf({ vehicle, inspection, visits: earlier, entries, rules, fleet })
        : undefined,
    [vehicle, inspection, earlier, entries, rules, fleet],
  );
  return useMemo(
    () => (life && visit ? { life, visit, earlier, rules, lookAhead } : undefined),
    [life, visit, earlier, rules, lookAhead],
  );
}
const NO_VISITS: readonly Visit[] = [];
const NO_ENTRIES: Life['entries'] = [];

/** What the whole fleet teaches each forecast, as far as this device knows. */
export function useFleet(): FleetKnowledge {
  return useWorkshop((state) => state.fleet);
}

/** Every version of the rules known here. */
export function useRulebooks(): readonly Rulebook[] {
  return useWorkshop(useShallow(selectRulebooks));
}

/** The rules a visit was made under; those of today, with the full template, without one. */
export function useRules(inspection?: Pick<Inspection, 'rulebook' | 'template'>): Rules {
  const rulebooks = useRulebooks();
  const version = inspection?.rulebook;
  const template = inspection?.template;
  return useMemo(
    () =>
      version === undefined || template === undefined
        ? rulesOf(newestRulebook(rulebooks), 'full')
        : rulesFor(rulebooks, { rulebook: version, template }),
    [rulebooks, version, template],
  );
}
