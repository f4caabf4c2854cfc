import type { Life } from '@weskopos/contract';
import { briefMaking, briefOf, isCurrent, type Brief } from './brief';
import type { DeviceStore } from './deviceStore';
import { readLife, writeBriefs, writeLife } from './lifeDocuments';
import { selectRulebooks, vehicleOfChange, type WorkshopState } from './workshopState';

/** What the lives at hand need of the workshop around them. */
export interface AtHandPorts {
  readonly store: () => DeviceStore;
  readonly get: () => WorkshopState;
  readonly set: (change: (state: WorkshopState) => Partial<WorkshopState>) => void;
  /** A life was read that has not all of its pages. */
  readonly onTorn: (vehicleId: string) => void;
  /** Somebody looks at a life that is not on the disk. Resolves when it was fetched, or cannot be. */
  readonly onAbsent: (vehicleId: string) => Promise<void>;
}

/** So many lives stay at hand after their pages were left: going back to one of them reads nothing. */
const KEPT = 6;
/** So many briefs are made between two looks of the page at them. */
const IN_ONE_GO = 10;

/**
 * Lives in memory: a device may hold hundreds, each of ten years, and needs a few at a time. A life is read when somebody
 * asks for it, stays while anybody does or a change of it waits, and leaves its brief behind when it goes.
 */
export class LivesAtHand {
  /** Lives that are shown, and those that only something under way needs. */
  private readonly here = new Map<string, Life>();
  private readonly users = new Map<string, number>();
  private readonly reading = new Map<string, Promise<void>>();
  /** Whose pages were open, the newest last. */
  private recent: readonly string[] = [];
  /** Briefs that were made anew and are not shown yet. */
  private made = new Map<string, Brief>();
  private remaking: Promise<void> | null = null;
  private remakeAgain = false;

  constructor(private readonly ports: AtHandPorts) {}

  /** Shows a life for as long as somebody looks at it. @returns how to let go of it */
  hold(vehicleId: string): () => void {
    this.recent = [...this.recent.filter((id) => id !== vehicleId), vehicleId].slice(-KEPT);
    const release = this.use(vehicleId);
    void this.read(vehicleId)
      .then(() => (this.here.has(vehicleId) ? undefined : this.ports.onAbsent(vehicleId)))
      .finally(() => this.show(vehicleId));
    return release;
  }

  /** Has a life at hand as long as something works on it: undefined where none is on this device. */
  async with<T>(vehicleId: string, work: (life: Life | undefined) => T | Promise<T>): Promise<T> {
    const release = this.use(vehicleId);
    try {
      if (!this.here.has(vehicleId)) await this.read(vehicleId);
      return await work(this.here.get(vehicleId));
    } finally {
      release();
    }
  }

  /**
   * Puts lives that changed in the place of those at hand, in one turn with what else changes; then onto the disk. The
   * brief of one that is shown is made when it goes: nobody summed up a life after every reading of a walk.
   */
  async put(
    changed: readonly Life[],
    beside: (state: WorkshopState) => Partial<WorkshopState> = () => ({}),
  ): Promise<void> {
    const shown = this.shown();
    const writes = changed.map((life) => ({
      before: this.here.get(life.vehicle.id),
      life,
      brief: shown.has(life.vehicle.id) ? null : briefOf(life, this.rulebooks()),
    }));
    for (const life of changed) {
      this.here.set(life.vehicle.id, life);
      // Made of what it was before.
      this.made.delete(life.vehicle.id);
    }
    this.ports.set((state) => ({
      lives: changedIn(
        state.lives,
        changed.filter(({ vehicle }) => shown.has(vehicle.id)).map((life) => [life.vehicle.id, life]),
      ),
      briefs: changedIn(
        state.briefs,
        writes.map(({ life, brief: made }) => [life.vehicle.id, made ?? undefined]),
      ),
      absent: new Set([...state.absent].filter((id) => !changed.some(({ vehicle }) => vehicle.id === id))),
      ...beside(state),
    }));
    const store = this.ports.store();
    await Promise.all(writes.map((one) => writeLife(store, one.before, one.life, one.brief)));
  }

  /** Has every life at hand that a waiting change touches. */
  async readWaiting(): Promise<void> {
    const ids = [...this.waiting()];
    await Promise.all(ids.map((id) => this.read(id)));
    for (const id of ids) this.show(id);
  }

  /**
   * Makes the briefs that are missing or were made by other rules, one life after the other.
   *
   * @param ids of every vehicle that may have a life here
   */
  remake(ids: () => readonly string[]): Promise<void> {
    this.remakeAgain = true;
    this.remaking ??= this.remakeAll(ids).finally(() => (this.remaking = null));
    return this.remaking;
  }

  private async remakeAll(ids: () => readonly string[]): Promise<void> {
    while (this.remakeAgain) {
      this.remakeAgain = false;
      for (const id of ids()) {
        const known = this.ports.get().briefs[id];
        if (known && isCurrent(known, briefMaking(this.rulebooks()))) continue;
        await this.with(id, (life) => {
          if (life) this.made.set(id, briefOf(life, this.rulebooks()));
        });
        if (this.made.size >= IN_ONE_GO) await this.showMade();
      }
      await this.showMade();
    }
  }

  private async showMade(): Promise<void> {
    const ready = [...this.made.values()];
    this.made.clear();
    if (ready.length === 0) return;
    this.ports.set(({ briefs }) => ({
      briefs: changedIn(
        briefs,
        ready.map((one) => [one.vehicle.id, one]),
      ),
    }));
    await writeBriefs(this.ports.store(), ready);
  }

  private rulebooks() {
    return selectRulebooks(this.ports.get());
  }

  /** Vehicles that a waiting change touches. */
  private waiting(): ReadonlySet<string> {
    const state = this.ports.get();
    const byVisit = new Map<string, string | undefined>();
    return new Set(
      state.pending.flatMap((operation) => {
        const visit = 'inspectionId' in operation.body ? operation.body.inspectionId : operation.id;
        if (!byVisit.has(visit)) byVisit.set(visit, vehicleOfChange(state, operation));
        return byVisit.get(visit) ?? [];
      }),
    );
  }

  /** Vehicles whose life the page is shown. */
  private shown(): ReadonlySet<string> {
    return new Set([...this.recent, ...this.waiting()]);
  }

  private show(vehicleId: string): void {
    const life = this.here.get(vehicleId);
    this.ports.set(({ lives, absent }) =>
      life ? { lives: changedIn(lives, [[vehicleId, life]]) } : { absent: new Set([...absent, vehicleId]) },
    );
  }

  private read(vehicleId: string): Promise<void> {
    if (this.here.has(vehicleId)) return Promise.resolve();
    const known = this.reading.get(vehicleId);
    if (known) return known;
    const reading = readLife(this.ports.store(), vehicleId)
      .then((kept) => {
        if (!kept || this.here.has(vehicleId)) return;
        this.here.set(vehicleId, kept.life);
        if (!kept.whole) this.ports.onTorn(vehicleId);
      })
      .finally(() => this.reading.delete(vehicleId));
    this.reading.set(vehicleId, reading);
    return reading;
  }

  private use(vehicleId: string): () => void {
    this.users.set(vehicleId, (this.users.get(vehicleId) ?? 0) + 1);
    let used = true;
    return () => {
      if (!used) return;
      used = false;
      const left = (this.users.get(vehicleId) ?? 1) - 1;
      if (left > 0) this.users.set(vehicleId, left);
      else this.users.delete(vehicleId);
      this.tidy();
    };
  }

  /** Lets go of what nobody needs. */
  private tidy(): void {
    const shown = this.shown();
    const gone = [...this.here.keys()].filter((id) => !shown.has(id) && !this.users.has(id));
    if (gone.length === 0) return;
    const { briefs } = this.ports.get();
    const left = gone.flatMap((id) => {
      const life = this.here.get(id);
      return life && !briefs[id] && !this.made.has(id) ? [briefOf(life, this.rulebooks())] : [];
    });
    for (const id of gone) this.here.delete(id);
    this.ports.set((state) => ({
      lives: changedIn(
        state.lives,
        gone.map((id) => [id, undefined]),
      ),
      briefs: changedIn(
        state.briefs,
        left.map((brief) => [brief.vehicle.id, brief]),
      ),
    }));
    if (left.length > 0) void writeBriefs(this.ports.store(), left);
  }
}

/** A record with some of it put in, or dropped where it is undefined; the same one where nothing changes. */
function changedIn<T>(
  record: Readonly<Record<string, T>>,
  changes: readonly (readonly [string, T | undefined])[],
): Readonly<Record<string, T>> {
  const real = changes.filter(([id, value]) => record[id] !== value);
  if (real.length === 0) return record;
  const next = { ...record };
  for (const [id, value] of real)
    if (value === undefined) delete next[id];
    else next[id] = value;
  return next;
}
