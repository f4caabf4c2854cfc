import type { Life, Visit, YardEntry } from '@weskopos/contract';
import { newestRulebook, rulesOf } from '@weskopos/core';
import { endOfWeek } from 'date-fns/endOfWeek';
import type { VehicleBoard } from '@weskopos/core/outlook';
import { useEffect, useMemo, useState } from 'react';
import { nowIso } from '../../sync/clock';
import { readDevice, writeDevice } from '../../sync/deviceNotes';
import { useFleet, useRulebooks } from '../../sync/useLife';
import { call, rulesFor, selectLife, useWorkshop } from '../../sync/workshop';
import { useBoard } from '../fleet/useBoard';
import { useNow } from '../../visit/useNow';
import { usualMinutes } from '../../visit/usualVisit';
import { todayOf, type Today } from './today';

/** The end of this week, a Sunday, ISO 8601. @param now ISO 8601 */
export const endOfThisWeek = (now: string): string => endOfWeek(new Date(now), { weekStartsOn: 1 }).toISOString();

/** When this person last looked at the yard, and the way to say that all of it was seen. */
function useLookedAt(person: string): { readonly lookedAt: string; readonly seen: () => void } {
  const name = `weskopos.looked.${person}`;
  const [note, setNote] = useState(() => lookedOf.get(name) ?? readDevice(name) ?? null);
  // Who never looked has nothing behind that could be new.
  const [first] = useState(nowIso);
  const lookedAt = note ?? first;
  useEffect(() => {
    if (askedOf.has(name)) return;
    askedOf.add(name);
    void call('looked', { body: {} }).then(
      ({ before }) => setNote((here) => (before !== null && (here === null || before > here) ? before : here)),
      // Without the workshop this device goes by its own note, and asks again when the page is loaded again.
      () => undefined,
    );
  }, [name]);
  useEffect(() => {
    // For as long as the page is loaded what was new when it came stays new.
    if (note !== null) lookedOf.set(name, note);
    writeDevice(name, nowIso());
  }, [name, note]);
  return { lookedAt, seen: () => setNote(nowIso()) };
}
const lookedOf = new Map<string, string>();
/** Whose other devices were asked after since the page was loaded. */
const askedOf = new Set<string>();

/** What a board is told for, beside what this device knows. */
interface Asked {
  /** What falls due until then is told, ISO 8601. */
  readonly until: string;
  /** What was signed since then is new, ISO 8601. */
  readonly lookedAt: string;
}

/** The board as this device knows it. @param board forecasts of the fleet, as far as they are summed up */
export function useTodayOf(entries: readonly YardEntry[], board: readonly VehicleBoard[], asked: Asked): Today {
  const lives = useWorkshop((state) => state.lives);
  const pending = useWorkshop((state) => state.pending);
  const person = useWorkshop((state) => state.person);
  const rulebooks = useRulebooks();
  const fleet = useFleet();
  const minute = useMinute();
  const { until, lookedAt } = asked;
  // The same as long as the rules are: what was added up by them is not added up again.
  const byRules = useMemo(() => {
    const rulebook = newestRulebook(rulebooks);
    return {
      rulesOfVisit: (inspection: Visit['inspection']) => rulesFor(rulebooks, inspection),
      today: rulesOf(rulebook, 'full'),
      minutesOf: (life: Life) => usualMinutes(life, rulebook),
    };
  }, [rulebooks]);
  return useMemo(() => {
    const known = new Map<string, Life>(
      entries.flatMap(({ vehicle }) => {
        const life = selectLife({ lives, pending, person }, vehicle.id);
        return life ? [[vehicle.id, life] as const] : [];
      }),
    );
    return todayOf(entries, known, new Map(board.map((line) => [line.vehicleId, line])), {
      ...byRules,
      fleet,
      now: minute,
      until,
      lookedAt,
      person: person?.name ?? '',
    });
  }, [entries, lives, pending, person, byRules, fleet, board, minute, until, lookedAt]);
}

/** The minute it is, ISO 8601: nothing on a board changes sooner, and what is told of a minute need not be told again. */
export const useMinute = (): string => `${new Date(useNow(MINUTE_MS)).toISOString().slice(0, 16)}:00.000Z`;
const MINUTE_MS = 60_000;

/** Today's board, and what was new in it since this person last looked. */
export function useToday(entries: readonly YardEntry[]): Today & { readonly seen: () => void; readonly now: string } {
  const person = useWorkshop((state) => state.person);
  const { board } = useBoard();
  const now = useMinute();
  const { lookedAt, seen } = useLookedAt(person?.id ?? '');
  const today = useTodayOf(entries, board?.vehicles ?? NONE, { until: endOfThisWeek(now), lookedAt });
  return { ...today, seen, now };
}
const NONE: readonly never[] = [];
