import type { Life } from '@weskopos/contract';
import type { FleetKnowledge, Rulebook } from '@weskopos/core';
import { nowIso } from '../../sync/clock';
import { useFleet, useLife, useRulebooks } from '../../sync/useLife';
import { sheetOf, type Sheet } from './sheetOf';

interface Known {
  readonly rulebooks: readonly Rulebook[];
  readonly fleet: FleetKnowledge;
  readonly day: string;
  readonly sheet: Sheet;
}

/** By life: the pages of one vehicle are told from one sum, made anew when something in it changed, or the day. */
const known = new WeakMap<Life, Known>();

/** A vehicle's life and what it comes to; undefined while the vehicle is not known. */
export function useSheet(vehicleId: string): { readonly life: Life; readonly sheet: Sheet } | undefined {
  const life = useLife(vehicleId);
  const rulebooks = useRulebooks();
  const fleet = useFleet();
  if (!life) return undefined;
  const now = nowIso();
  const day = now.slice(0, 10);
  const before = known.get(life);
  if (before && before.rulebooks === rulebooks && before.fleet === fleet && before.day === day)
    return { life, sheet: before.sheet };
  const sheet = sheetOf(life, rulebooks, fleet, now);
  known.set(life, { rulebooks, fleet, day, sheet });
  return { life, sheet };
}
