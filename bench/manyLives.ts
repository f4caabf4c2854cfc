import type { FleetBoard, Life, Visit, YardEntry } from '@weskopos/contract';
import { isSigned } from '@weskopos/core';
import { randomUuid, seededRandom } from '@weskopos/core/simulated';

/** A workshop as its devices fetch it. */
export interface FetchedWorkshop {
  readonly yard: readonly YardEntry[];
  readonly lives: ReadonlyMap<string, Life>;
  readonly board: FleetBoard;
}

const DAY_MS = 86_400_000;

/** Many vehicles over many years, each written off from a real one: its visits come again and again, its figures stay as they are. */
export function manyLives(
  from: FetchedWorkshop,
  vehicles: number,
  years: number,
  visitsAYear: number,
): FetchedWorkshop {
  const random = seededRandom(vehicles);
  const models = from.yard.filter(({ vehicle }) =>
    from.lives.get(vehicle.id)?.visits.some(({ inspection }) => isSigned(inspection)),
  );
  const made = Array.from({ length: vehicles }, (_, n) => {
    const model = models[n % models.length];
    const life = model && from.lives.get(model.vehicle.id);
    if (!model || !life) throw new Error('the demo has no vehicle that was ever signed');
    const vehicle = { ...life.vehicle, id: randomUuid(random), fleetCode: `B ${String(n).padStart(3, '0')}` };
    const signed = life.visits.filter(({ inspection }) => isSigned(inspection));
    const count = years * visitsAYear;
    const visits = Array.from({ length: count }, (_visit, index) => {
      const back = (count - index) * (365 / visitsAYear) * DAY_MS;
      const visit = signed[index % signed.length];
      if (!visit) throw new Error('no visit to write off');
      return writtenOff(visit, vehicle.id, back, 20_000 + index * 5000, () => randomUuid(random));
    });
    const entries = life.entries.map((entry) => ({ ...entry, id: randomUuid(random), vehicleId: vehicle.id }));
    const last = visits.at(-1)?.inspection;
    const entry: YardEntry = {
      ...model,
      vehicle,
      open: null,
      version: vehicle.id,
      last:
        last && model.last
          ? { ...model.last, inspectionId: last.id, startedAt: last.startedAt, meter: last.meter }
          : null,
    };
    const line = from.board.vehicles.find(({ vehicleId }) => vehicleId === model.vehicle.id);
    return {
      entry,
      life: { vehicle, visits, entries },
      line: line && { ...line, vehicleId: vehicle.id, fleetCode: vehicle.fleetCode },
    };
  });
  return {
    yard: made.map(({ entry }) => entry),
    lives: new Map(made.map(({ life }) => [life.vehicle.id, life])),
    board: { ...from.board, vehicles: made.flatMap(({ line }) => line ?? []) },
  };
}

/** A visit of another vehicle, so long ago: everything in it has a name and a time of its own. */
function writtenOff(visit: Visit, vehicleId: string, backMs: number, meter: number, newId: () => string): Visit {
  const id = newId();
  const shift = Date.now() - backMs - Date.parse(visit.inspection.startedAt);
  const later = (at: string) => new Date(Date.parse(at) + shift).toISOString();
  const ids = new Map(visit.findings.map((finding) => [finding.id, newId()]));
  const { inspection } = visit;
  return {
    ...visit,
    inspection: {
      ...inspection,
      id,
      vehicleId,
      meter,
      startedAt: later(inspection.startedAt),
      signedAt: inspection.signedAt && later(inspection.signedAt),
    },
    findings: visit.findings.map((finding) => ({
      ...finding,
      id: ids.get(finding.id) ?? newId(),
      inspectionId: id,
      at: later(finding.at),
      parent: finding.parent && (ids.get(finding.parent) ?? null),
    })),
    acts: visit.acts.map((act) => ({ ...act, inspectionId: id, at: later(act.at) })),
  };
}
