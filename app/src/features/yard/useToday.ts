import type { YardEntry } from '@weskopos/contract';
import { endOfWeek } from 'date-fns/endOfWeek';
import type { VehicleBoard } from '@weskopos/core/outlook';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { nowIso } from '../../sync/clock';
import { readDevice, writeDevice } from '../../sync/deviceNotes';
import { useBriefs, useFleet } from '../../sync/useLife';
import { call, useWorkshop } from '../../sync/workshop';
import { useBoard } from '../fleet/useBoard';
import { useNow } from '../../visit/useNow';
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
  return { lookedAt, seen: useCallback(() => setNote(nowIso()), []) };
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
  const briefs = useBriefs();
  const person = useWorkshop((state) => state.person?.name ?? '');
  const fleet = useFleet();
  const now = useMinute();
  const { until, lookedAt } = asked;
  return useMemo(
    () =>
      todayOf(entries, briefs, new Map(board.map((line) => [line.vehicleId, line])), {
        fleet,
        now,
        until,
        lookedAt,
        person,
      }),
    [entries, briefs, fleet, board, now, until, lookedAt, person],
  );
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
