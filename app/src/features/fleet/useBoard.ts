import type { FleetBoard } from '@weskopos/contract';
import { newestRulebook, rulesOf } from '@weskopos/core';
import { useEffect, useMemo, useState } from 'react';
import { useFleet, useRulebooks } from '../../sync/useLife';
import { call, selectLife, useWorkshop } from '../../sync/workshop';
import type { boardLine } from './boardLine';
import { useDesk } from './useDesk';

const NONE: readonly never[] = [];
const askBoard = () => call('fleetBoard');

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
  // Forecasting is fetched by who has something to forecast here: the yard opens without it.
  const [sums, setSums] = useState<{ readonly boardLine: typeof boardLine } | null>(null);
  const wanted = own.length > 0;
  useEffect(() => {
    let left = false;
    if (wanted) void import('./boardLine').then((loaded) => left || setSums(loaded));
    return () => {
      left = true;
    };
  }, [wanted]);
  const lines = useInTurn(sums ? own : NONE, (life) => {
    if (!sums) throw new Error('nothing is worked out before it was fetched');
    return sums.boardLine(life, rules, fleet);
  });
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
  const done = made.of === list ? made.results : NONE;
  useEffect(() => {
    const next = list[done.length];
    if (next === undefined) return undefined;
    const turn = setTimeout(() => setMade({ of: list, results: [...done, make(next)] }));
    return () => clearTimeout(turn);
  });
  return done;
}
