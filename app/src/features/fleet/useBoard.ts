import type { FleetBoard } from '@weskopos/contract';
import { newestRulebook, rulesOf } from '@weskopos/core';
import type { VehicleBoard } from '@weskopos/core/outlook';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Brief } from '../../sync/brief';
import type { KeptAnswer } from '../../sync/createWorkshop';
import { useBriefs, useFleet, useRulebooks } from '../../sync/useLife';
import { askKept, call, lifeOnce, useWorkshop } from '../../sync/workshop';
import { problemWords } from '../../words/problemWords';
import type { boardLine } from './boardLine';
import { useDesk } from './useDesk';

const NONE: readonly never[] = [];
/** As long as the page is loaded the last answer stands until the next one is there: what was due does not go and come. */
let last: KeptAnswer<FleetBoard> | null = null;
const askBoard = async () => {
  last = await askKept('board', () => call('fleetBoard'));
  return last;
};

/** The board, and where it is from. */
export interface Board {
  readonly board: FleetBoard | null;
  /** Why the server did not answer; null where it did, or may still. */
  readonly problem: string | null;
  /** When the server told it, ISO 8601; null where everything on it was worked out here. */
  readonly toldAt: string | null;
}

/** Whether something was signed at a vehicle since. @param since ISO 8601 */
const signedSince = ({ signatures }: Brief, since: string) => (signatures.at(-1)?.signedAt ?? '') > since;

/**
 * The fleet board: the server's, with what waits on this device laid over it; without a server what it told last, with what
 * was signed since; before it ever told one what this device knows, one vehicle after the other so that nothing stands
 * still meanwhile.
 */
export function useBoard(): Board {
  const { answer: told, problem: why } = useDesk<KeptAnswer<FleetBoard>>(askBoard, last);
  const kept = useWorkshop((state) => state.briefs);
  const briefs = useBriefs();
  const rulebooks = useRulebooks();
  const fleet = useFleet();
  const problem = why ?? (told?.problem ? problemWords(told.problem) : null);
  const own = useMemo(() => {
    if (!told) return why === null ? NONE : [...briefs.values()];
    // A vehicle that a change on this device touched has another brief than the one that is kept.
    return [...briefs.values()].filter(
      (brief) => brief !== kept[brief.vehicle.id] || (told.problem !== null && signedSince(brief, told.at)),
    );
  }, [briefs, kept, told, why]);
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
  const lineOf = useCallback(
    async ({ vehicle }: Brief): Promise<VehicleBoard | undefined> => {
      const life = await lifeOnce(vehicle.id);
      return life && sums?.boardLine(life, rules, fleet);
    },
    [sums, rules, fleet],
  );
  const lines = useInTurn(sums ? own : NONE, lineOf);
  const board = useMemo(() => {
    const made = lines.flatMap((line) => line ?? []);
    if (!told)
      return why !== null && lines.length === own.length ? { learnedAt: fleet.learnedAt, vehicles: made } : null;
    const laid = new Map(made.map((line) => [line.vehicleId, line]));
    return { ...told.answer, vehicles: told.answer.vehicles.map((line) => laid.get(line.vehicleId) ?? line) };
  }, [told, why, lines, own, fleet.learnedAt]);
  return { board, problem, toldAt: told?.at ?? null };
}

/** What is made of each of a list, one in a turn of the page; what there is so far. */
function useInTurn<T, R>(list: readonly T[], make: (one: T) => Promise<R>): readonly R[] {
  const [made, setMade] = useState<{ readonly of: readonly T[]; readonly results: readonly R[] }>({
    of: list,
    results: [],
  });
  const done = made.of === list ? made.results : NONE;
  useEffect(() => {
    const next = list[done.length];
    if (next === undefined) return undefined;
    let left = false;
    const turn = setTimeout(() => {
      void make(next).then((result) => left || setMade({ of: list, results: [...done, result] }));
    });
    return () => {
      left = true;
      clearTimeout(turn);
    };
  }, [list, done, make]);
  return done;
}
