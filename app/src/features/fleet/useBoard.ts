import type { FleetBoard, Life } from '@weskopos/contract';
import { isSigned, newestRulebook, rulesOf, type FleetKnowledge, type Rules } from '@weskopos/core';
import { outlookOf, vehicleBoard, type VehicleBoard } from '@weskopos/core/outlook';
import { useEffect, useMemo, useState } from 'react';
import { useFleet, useRulebooks } from '../../sync/useLife';
import { call, selectLife, useWorkshop } from '../../sync/workshop';
import { useDesk } from './useDesk';

const askBoard = () => call('fleetBoard');

/** A vehicle's line on the board, by what this device knows of it. */
function lineOf({ vehicle, visits, entries }: Life, rules: Rules, fleet: FleetKnowledge): VehicleBoard {
  const signed = visits.filter(({ inspection }) => isSigned(inspection));
  const moments = signed.map(({ inspection }) => inspection);
  return vehicleBoard(vehicle, moments, outlookOf(vehicle, signed, entries, rules, fleet), fleet);
}

/** The board, and where it is from. */
export interface Board {
  readonly board: FleetBoard | null;
  /** Why the server did not answer; null where it did, or may still. */
  readonly problem: string | null;
  /** Everything on it was worked out here. */
  readonly isOwn: boolean;
}

/**
 * The fleet board: the server's, with what waits on this device laid over it; without a server what this device knows,
 * one vehicle after the other so that nothing stands still meanwhile.
 */
export function useBoard(): Board {
  const { answer, problem } = useDesk<FleetBoard>(askBoard);
  const lives = useWorkshop((state) => state.lives);
  const pending = useWorkshop((state) => state.pending);
  const person = useWorkshop((state) => state.person);
  const rulebooks = useRulebooks();
  const fleet = useFleet();
  const isOwn = answer === null && problem !== null;
  const own = useMemo(() => {
    const known = Object.keys(lives).flatMap((id) => selectLife({ lives, pending, person }, id) ?? []);
    // Laid over what is known: a life that a waiting change touches is another object than the one the server told.
    return isOwn ? known : answer ? known.filter((life) => life !== lives[life.vehicle.id]) : [];
  }, [lives, pending, person, isOwn, answer]);
  const rules = useMemo(() => rulesOf(newestRulebook(rulebooks), 'full'), [rulebooks]);
  const lines = useInTurn(own, (life) => lineOf(life, rules, fleet));
  const board = useMemo(() => {
    if (isOwn) return lines.length === own.length ? { learnedAt: fleet.learnedAt, vehicles: [...lines] } : null;
    const laid = new Map(lines.map((line) => [line.vehicleId, line]));
    return answer && { ...answer, vehicles: answer.vehicles.map((line) => laid.get(line.vehicleId) ?? line) };
  }, [answer, isOwn, lines, own, fleet.learnedAt]);
  return { board, problem, isOwn };
}

/** What is made of each of a list, one in a turn of the page; what there is so far. */
function useInTurn<T, R>(list: readonly T[], make: (one: T) => R): readonly R[] {
  const [made, setMade] = useState<{ readonly of: readonly T[]; readonly results: readonly R[] }>({
    of: list,
    results: [],
  });
  const done = made.of === list ? made.results : [];
  useEffect(() => {
    const next = list[done.length];
    if (next === undefined) return undefined;
    const turn = setTimeout(() => setMade({ of: list, results: [...done, make(next)] }));
    return () => clearTimeout(turn);
  });
  return done;
}
