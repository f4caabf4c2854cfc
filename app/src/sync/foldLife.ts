import type { Life, Operation, Visit, YardEntry } from '@weskopos/contract';
import { isOpen, isSigned, openEnds } from '@weskopos/core';
import { blankVisit } from './blankVisit';

/** One vehicle's life with a change of this device laid over it; unchanged by operations of other vehicles. */
export function foldLife(life: Life | undefined, operation: Operation, by: string): Life | undefined {
  switch (operation.kind) {
    case 'vehicle.put':
      if (life && life.vehicle.id !== operation.body.id) return life;
      return { visits: [], entries: [], ...life, vehicle: operation.body };
    case 'inspection.start':
      if (
        !life ||
        life.vehicle.id !== operation.body.vehicleId ||
        life.visits.some(({ inspection }) => inspection.id === operation.body.id)
      )
        return life;
      return {
        ...life,
        visits: [...life.visits, blankVisit(operation.body, by)],
      };
    case 'finding.put':
      return onVisit(life, operation.body.inspectionId, (visit) =>
        visit.findings.some(({ id }) => id === operation.body.id)
          ? visit
          : { ...visit, findings: [...visit.findings, { ...operation.body, by }] },
      );
    case 'act.put':
      return onVisit(life, operation.body.inspectionId, (visit) =>
        visit.acts.some(({ id }) => id === operation.body.id)
          ? visit
          : { ...visit, acts: [...visit.acts, { ...operation.body, by }] },
      );
    case 'entry.put':
      if (
        !life ||
        life.vehicle.id !== operation.body.vehicleId ||
        life.entries.some(({ id }) => id === operation.body.id)
      )
        return life;
      return { ...life, entries: [...life.entries, { ...operation.body, by }] };
    case 'rulebook.put':
      return life;
    case 'inspection.void': {
      const { inspectionId, at, why } = operation.body;
      return onVisit(life, inspectionId, (visit) => ({
        ...visit,
        inspection: { ...visit.inspection, voidedAt: at, voidedWhy: why },
        voidedBy: by,
      }));
    }
    case 'inspection.restore':
      return onVisit(life, operation.body.inspectionId, (visit) => ({
        ...visit,
        inspection: { ...visit.inspection, voidedAt: null, voidedWhy: null },
        voidedBy: null,
      }));
    case 'inspection.correct':
      return onVisit(life, operation.body.inspectionId, (visit) => ({
        ...visit,
        inspection: { ...visit.inspection, ...operation.body.arrival },
      }));
    case 'amendment.put': {
      const { id, inspectionId, at, why, finding } = operation.body;
      return onVisit(life, inspectionId, (visit) =>
        visit.amendments.some((one) => one.id === id)
          ? visit
          : {
              ...visit,
              findings: [...visit.findings, { ...finding, by }],
              amendments: [...visit.amendments, { id, inspectionId, at, why, findingId: finding.id, points: null, by }],
            },
      );
    }
    case 'inspection.sign':
      return onVisit(life, operation.body.inspectionId, (visit) =>
        visit.inspection.signedAt
          ? visit
          : {
              ...visit,
              inspection: {
                ...visit.inspection,
                signedAt: operation.body.signedAt,
                ahead: operation.body.ahead ?? [],
                signedOver: openEnds(visit.acts).length > 0 ? (operation.body.over ?? null) : null,
              },
              signedBy: by,
            },
      );
  }
}

function onVisit(life: Life | undefined, id: string, change: (visit: Visit) => Visit): Life | undefined {
  if (!life?.visits.some(({ inspection }) => inspection.id === id)) return life;
  return { ...life, visits: life.visits.map((visit) => (visit.inspection.id === id ? change(visit) : visit)) };
}

/**
 * What the server sent, with what the device already knew and the answer may be too old to hold. Entries are only ever added,
 * so the union is right whichever came first.
 */
export function mergeLife(known: Life | undefined, fetched: Life): Life {
  if (!known) return fetched;
  const before = new Map(known.visits.map((visit) => [visit.inspection.id, visit]));
  const visits = fetched.visits.map((visit) => mergeVisit(before.get(visit.inspection.id), visit));
  const had = new Set(fetched.visits.map(({ inspection }) => inspection.id));
  const all = [...visits, ...known.visits.filter(({ inspection }) => !had.has(inspection.id))];
  return {
    vehicle: fetched.vehicle,
    entries: unionOf(known.entries, fetched.entries),
    visits: all.sort((a, b) => a.inspection.startedAt.localeCompare(b.inspection.startedAt)),
  };
}

function mergeVisit(known: Visit | undefined, fetched: Visit): Visit {
  if (!known) return fetched;
  // An answer from before the signature arrived knows nothing of it; in all else the workshop has the last word.
  const signed = known.inspection.signedAt && !fetched.inspection.signedAt ? known : fetched;
  return {
    ...fetched,
    findings: unionOf(known.findings, fetched.findings),
    acts: unionOf(known.acts, fetched.acts),
    amendments: unionOf(known.amendments, fetched.amendments),
    inspection: signed.inspection,
    signedBy: signed.signedBy,
    sheet: fetched.sheet ?? known.sheet,
  };
}

/** What either side has, once. */
function unionOf<T extends { readonly id: string }>(known: readonly T[], fetched: readonly T[]): T[] {
  return [...new Map([...known, ...fetched].map((entry) => [entry.id, entry])).values()];
}

/** The yard's list with the vehicles and visits this device knows better, by code. */
export function yardWith(entries: readonly YardEntry[], known: ReadonlyMap<string, YardEntry>): YardEntry[] {
  const all = new Map(entries.map((entry) => [entry.vehicle.id, entry]));
  for (const [id, entry] of known) all.set(id, entry);
  return [...all.values()].sort((a, b) => CODES.compare(a.vehicle.fleetCode, b.vehicle.fleetCode));
}
const CODES = new Intl.Collator('en', { numeric: true });

/** A life's last signed visit and the one that is half done; given up ones are neither. */
export function newestVisits({ visits }: Life): {
  readonly signed: Visit | undefined;
  readonly open: Visit | undefined;
} {
  return {
    signed: visits.findLast(({ inspection }) => isSigned(inspection)),
    open: visits.findLast(({ inspection }) => isOpen(inspection)),
  };
}
