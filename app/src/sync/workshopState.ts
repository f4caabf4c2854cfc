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
import type { RefusedOperation } from './deviceStore';
import { foldLife } from './foldLife';
import type { SyncState } from './syncEngine';

/**
 * Lives of state: `person`, `entries`, `lives` mirror documents on the device and follow the server;
 * `pending` mirrors the queue; the rest dies with the tab.
 */
export interface WorkshopState {
  readonly status: 'opening' | 'signed-out' | 'empty' | 'ready';
  /** Whether this device keeps anything: `denied` by the browser, of a `newer` app, `blocked` by an older tab. */
  readonly kept: 'yes' | 'denied' | 'newer' | 'blocked';
  readonly person: Person | null;
  readonly entries: readonly YardEntry[] | null;
  readonly lives: Readonly<Record<string, Life>>;
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
  lives: {},
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
