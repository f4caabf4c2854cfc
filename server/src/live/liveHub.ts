import { ALL_WORKS, type Changed, type LiveEvent, type Presence } from '@weskopos/contract';

interface Listener {
  readonly device: string;
  readonly name: string;
  stop: string | null;
  readonly send: (event: LiveEvent, data: unknown) => void;
  readonly end: () => void;
}

/** Who has which visit open right now; dies with the process, as the open pages do. */
export class LiveHub {
  private readonly visits = new Map<string, Set<Listener>>();

  /** Adds a listener and tells everybody of the visit; gives back how it leaves. */
  join(visitId: string, listener: Omit<Listener, 'stop'>): () => void {
    const entry: Listener = { ...listener, stop: null };
    const here = this.visits.get(visitId) ?? new Set();
    this.visits.set(visitId, here.add(entry));
    this.tellPresence(visitId);
    return () => {
      here.delete(entry);
      if (here.size === 0) this.visits.delete(visitId);
      else this.tellPresence(visitId);
    };
  }

  /** A device goes to a stop; gives how many others see it. */
  move(visitId: string, device: string, stop: string): number {
    const here = [...(this.visits.get(visitId) ?? [])];
    for (const listener of here) if (listener.device === device) listener.stop = stop;
    this.tellPresence(visitId);
    return here.filter((listener) => listener.device !== device).length;
  }

  /** A device has changed something in a visit: whoever else looks fetches it. */
  changed(visitId: string, { device }: Changed): void {
    for (const { send } of this.visits.get(visitId) ?? []) send('changed', { device });
  }

  /** Something was said of a vehicle's works: who looks at them, or at those of all, fetches it. */
  worksChanged(vehicleId: string, by: Changed): void {
    this.changed(vehicleId, by);
    this.changed(ALL_WORKS, by);
  }

  /** Ends every open answer, so that a stop need not wait for them. */
  close(): void {
    for (const here of this.visits.values()) for (const { end } of here) end();
  }

  private tellPresence(visitId: string): void {
    const here = [...(this.visits.get(visitId) ?? [])];
    const presence: Presence = here.map(({ device, name, stop }) => ({ device, name, stop }));
    for (const { send } of here) send('here', presence);
  }
}
