import type { PointCode } from '../catalogue/catalogue';
import type { Seat } from '../vehicle/place';
import { standingEntries, type LifeEntry, type PartKind } from './lifeEntry';

/** One part with an identity, and where it sat since when. */
export interface Part {
  readonly id: string;
  readonly what: PartKind;
  /** When and at which meter it was fitted; null for one that came with the vehicle. */
  readonly fittedAt: string | null;
  readonly fittedMeter: number | null;
  readonly fresh: number | null;
  /** Places over time, oldest first. */
  readonly places: readonly { readonly place: Seat; readonly since: string }[];
  /** When it was taken off for good; null while it is fitted. */
  readonly removedAt: string | null;
}

/** Which parts a vehicle has and had. */
export interface PartBook {
  readonly parts: readonly Part[];
  /** The part at a place at a moment; what came with the vehicle until something else was fitted. */
  readonly partAt: (what: PartKind, place: Seat, at: string) => Part;
  /** The part that sits at a place after all that is told. */
  readonly partNow: (what: PartKind, place: Seat) => Part;
}

/** Before anything that is told: what came with the vehicle sat there always. */
const EVER = '';

type Draft = { -readonly [K in keyof Part]: Part[K] } & { places: { place: Seat; since: string }[] };

/**
 * Threads fittings and rotations into parts, in the order of when they were done, whenever they were written down: an
 * entry that comes late moves all that follows.
 */
export function threadParts(entries: readonly LifeEntry[]): PartBook {
  const drafts: Draft[] = [];
  const sits = new Map<string, Draft>();
  const seat = (what: PartKind, place: Seat) => `${what}@${place}`;
  const present = (what: PartKind, place: Seat) => {
    const known = sits.get(seat(what, place));
    if (known) return known;
    const came: Draft = {
      id: `came:${what}@${place}`,
      what,
      fittedAt: null,
      fittedMeter: null,
      fresh: null,
      places: [{ place, since: EVER }],
      removedAt: null,
    };
    drafts.push(came);
    sits.set(seat(what, place), came);
    return came;
  };
  for (const entry of standingEntries(entries)) {
    if (entry.kind === 'fit') {
      present(entry.what, entry.place).removedAt = entry.at;
      const part: Draft = {
        id: entry.id,
        what: entry.what,
        fittedAt: entry.at,
        fittedMeter: entry.meter,
        fresh: entry.fresh,
        places: [{ place: entry.place, since: entry.at }],
        removedAt: null,
      };
      drafts.push(part);
      sits.set(seat(entry.what, entry.place), part);
    } else if (entry.kind === 'rotate') {
      const moved = entry.moves.map(({ from, to }) => ({ part: present('tyre', from), to }));
      for (const { part, to } of moved) {
        part.places.push({ place: to, since: entry.at });
        sits.set(seat('tyre', to), part);
      }
    }
  }
  const partAt = (what: PartKind, place: Seat, at: string): Part =>
    drafts.find(
      (part) =>
        part.what === what &&
        (part.removedAt === null || at < part.removedAt) &&
        part.places.findLast(({ since }) => since <= at)?.place === place,
    ) ?? present(what, place);
  return { parts: drafts, partAt, partNow: present };
}

/** The kind of part a point looks at; null where what it looks at has no identity of its own. */
export function partOfPoint(point: PointCode): PartKind | null {
  if (point === 'tyre.tread') return 'tyre';
  if (point === 'pad.inner' || point === 'pad.outer') return 'pads';
  if (point === 'disc') return 'disc';
  return point === 'shoe' ? 'shoes' : null;
}
