import type { Life, YardEntry } from '@weskopos/contract';
import { newestRulebook, rulesOf } from '@weskopos/core';
import { endOfWeek } from 'date-fns/endOfWeek';
import { useEffect, useMemo, useState } from 'react';
import { nowIso } from '../../sync/clock';
import { readDevice, writeDevice } from '../../sync/deviceNotes';
import { useFleet, useRulebooks } from '../../sync/useLife';
import { rulesFor, selectLife, useWorkshop } from '../../sync/workshop';
import { useBoard } from '../fleet/useBoard';
import { todayOf, type Today } from './today';

/** The end of this week, a Sunday, ISO 8601. @param now ISO 8601 */
export const endOfThisWeek = (now: string): string => endOfWeek(new Date(now), { weekStartsOn: 1 }).toISOString();

/** When this person last looked at the yard on this device, and the way to say that all of it was seen. */
function useLookedAt(person: string): { readonly lookedAt: string; readonly seen: () => void } {
  const name = `weskopos.looked.${person}`;
  const [lookedAt, setLookedAt] = useState(() => lookedOf.get(name) ?? readDevice(name) ?? nowIso());
  useEffect(() => {
    // For as long as the page is loaded what was new when it came stays new.
    lookedOf.set(name, lookedAt);
    writeDevice(name, nowIso());
  }, [name, lookedAt]);
  return { lookedAt, seen: () => setLookedAt(nowIso()) };
}
const lookedOf = new Map<string, string>();

/** Today's board as this device knows it; forecasts of the whole fleet come when they are summed up. */
export function useToday(entries: readonly YardEntry[]): Today & { readonly seen: () => void; readonly now: string } {
  const lives = useWorkshop((state) => state.lives);
  const pending = useWorkshop((state) => state.pending);
  const person = useWorkshop((state) => state.person);
  const rulebooks = useRulebooks();
  const fleet = useFleet();
  const { board } = useBoard();
  const { lookedAt, seen } = useLookedAt(person?.id ?? '');
  const now = nowIso();
  // By the minute: nothing on the board changes sooner, and what is told of a minute need not be told again.
  const minute = now.slice(0, 16);
  const today = useMemo(() => {
    const known = new Map<string, Life>(
      entries.flatMap(({ vehicle }) => {
        const life = selectLife({ lives, pending, person }, vehicle.id);
        return life ? [[vehicle.id, life] as const] : [];
      }),
    );
    const boards = new Map((board?.vehicles ?? []).map((line) => [line.vehicleId, line]));
    const at = `${minute}:00.000Z`;
    return todayOf(entries, known, boards, {
      rulesOfVisit: (inspection) => rulesFor(rulebooks, inspection),
      today: rulesOf(newestRulebook(rulebooks), 'full'),
      fleet,
      now: at,
      until: endOfThisWeek(at),
      lookedAt,
      person: person?.name ?? '',
    });
  }, [entries, lives, pending, person, rulebooks, fleet, board, lookedAt, minute]);
  return { ...today, seen, now };
}
