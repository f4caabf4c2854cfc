import type { Life, Operation, Person, YardEntry } from '@weskopos/contract';
import {
  BUILT_IN_FLEET,
  rulebookAt,
  rulesOf,
  type FleetKnowledge,
  type Inspection,
  type Rulebook,
  type Rules,
} from '@weskopos/core';
import type { Brief } from './brief';
import type { RefusedOperation } from './deviceStore';
import { foldLife } from './foldLife';
import type { SyncState } from './syncEngine';

/**
 * Lives of state: `person`, `entries`, `briefs` mirror documents on the device and follow the server, `lives` a few of
 * them; `pending` mirrors the queue; the rest dies with the tab.
 */
export interface WorkshopState {
  readonly status: 'opening' | 'signed-out' | 'empty' | 'ready';
  /** Whether this device keeps anything: `denied` by the browser, of a `newer` app, `blocked` by an older tab. */
  readonly kept: 'yes' | 'denied' | 'newer' | 'blocked';
  readonly person: Person | null;
  readonly entries: readonly YardEntry[] | null;
  /** What is told of each vehicle whose life is on this device, without opening it; none while one is made anew. */
  readonly briefs: Readonly<Record<string, Brief>>;
  /** The lives at hand: whose pages are open or were last, and that a waiting change touches. */
  readonly lives: Readonly<Record<string, Life>>;
  /** Vehicles whose life was looked for on this device's disk and is not there. */
  readonly absent: ReadonlySet<string>;
  /** Every version of the workshop's rules; the built-in one is known without. */
  readonly rulebooks: readonly Rulebook[];
  /** What the whole fleet teaches each forecast; built in until the server has told. */
  readonly fleet: FleetKnowledge;
  readonly pending: readonly Operation[];
  readonly refused: readonly RefusedOperation[];
  readonly sync: SyncState;
  /** Changes on their way to the device's own disk: until they are there, nothing says saved. */
  readonly writing: number;
  /** The device could not keep a change: its storage is full or denied. */
  readonly storageFailed: boolean;
}

/** Before the device's store is open. */
export const NOTHING_KNOWN: WorkshopState = {
  status: 'opening',
  kept: 'yes',
  person: null,
  entries: null,
  briefs: {},
  lives: {},
  absent: new Set(),
  rulebooks: [],
  fleet: BUILT_IN_FLEET,
  pending: [],
  refused: [],
  sync: { waiting: 0, ofOthers: 0, held: 0, refused: 0, refusedPhotos: 0, link: 'idle' },
  writing: 0,
  storageFailed: false,
};

/** A vehicle's life as this device knows it: the server's state with the waiting changes laid over it. */
export function selectLife(
  state: Pick<WorkshopState, 'lives' | 'pending' | 'person'>,
  vehicleId: string,
): Life | undefined {
  return state.pending
    .filter((operation) => operation.kind !== 'vehicle.put' || operation.body.id === vehicleId)
    .reduce<Life | undefined>(
      (life, operation) => foldLife(life, operation, state.person?.name ?? ''),
      state.lives[vehicleId],
    );
}

/** Whose visit it is, as far as this device knows. */
export function vehicleOfVisit(
  { lives, briefs, pending }: Pick<WorkshopState, 'lives' | 'briefs' | 'pending'>,
  visitId: string,
): string | undefined {
  const begun = pending.find(({ kind, body }) => kind === 'inspection.start' && body.id === visitId);
  if (begun?.kind === 'inspection.start') return begun.body.vehicleId;
  const here = Object.values(lives).find(({ visits }) => visits.some(({ inspection }) => inspection.id === visitId));
  return here?.vehicle.id ?? Object.values(briefs).find(({ visits }) => visits.includes(visitId))?.vehicle.id;
}

/** Whose life a change belongs to; undefined where it is no vehicle's, or nobody here knows whose. */
export function vehicleOfChange(
  state: Pick<WorkshopState, 'lives' | 'briefs' | 'pending'>,
  { kind, body }: Operation,
): string | undefined {
  if (kind === 'vehicle.put') return body.id;
  if ('vehicleId' in body) return body.vehicleId;
  return 'inspectionId' in body ? vehicleOfVisit(state, body.inspectionId) : undefined;
}

/** The rules as this device knows them, with a change that still waits; the same list while nothing of them waits. */
export function selectRulebooks({
  rulebooks,
  pending,
}: Pick<WorkshopState, 'rulebooks' | 'pending'>): readonly Rulebook[] {
  const waiting = pending.flatMap((operation) => (operation.kind === 'rulebook.put' ? [operation.body] : []));
  return waiting.length === 0 ? rulebooks : [...rulebooks, ...waiting];
}

/** The rules a visit was made under. */
export function rulesFor(
  rulebooks: readonly Rulebook[],
  { rulebook, template }: Pick<Inspection, 'rulebook' | 'template'>,
): Rules {
  return rulesOf(rulebookAt(rulebooks, rulebook), template);
}
