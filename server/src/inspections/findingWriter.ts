import { findingTable, type Refusal } from '@weskopos/contract';
import { cataloguePoint, hasPlace, type Axle, type Finding } from '@weskopos/core';
import type { Queries, Tx } from '../db/engine';
import { MADE_BY, insertRecords } from '../db/table';
import { AS_SAID, refused, takes, type Decision, type Outcome, type Taken, type Writer } from '../ledger/change';
import { mayOverride } from './mayOverride';

interface VisitRow {
  readonly id: string;
  readonly signed_at: string | null;
  readonly voided_at: string | null;
  readonly axles: readonly Axle[];
}
type EntryRow = Pick<Finding, 'id' | 'point' | 'place'> & { readonly inspection_id: string };

/** What entries are judged by: their visits, and which of the entries they name are there. */
export interface Facts {
  readonly visits: ReadonlyMap<string, VisitRow>;
  readonly entries: Map<string, EntryRow>;
}

/** Appends entries to visits that are still open; those that come together are judged and written together. */
export const putFinding: Writer<Finding, Outcome, Facts> = {
  async decide(tx, change, finding) {
    const facts = await factsOf(tx, [finding]);
    const decision = judge(facts, finding);
    if (decision.refusal !== null || !finding.override) return decision;
    return (await mayOverride(tx, change.by, finding)) ? decision : refused('lead-only');
  },
  effect: (tx, change, finding) => write(tx, [{ change, body: finding, outcome: AS_SAID }]),
  together: {
    facts: factsOf,
    // A grade by hand leans on all that stands: it is judged by itself.
    decide: (facts, finding) => (finding.override ? null : judge(facts, finding)),
    took: noted,
    effect: write,
  },
};

/** What entries are judged by. */
export async function factsOf(db: Queries, findings: readonly Finding[]): Promise<Facts> {
  const asksVisits = db.query<VisitRow>(
    `select i.id, i.signed_at, i.voided_at, v.axles from inspection i join vehicle v on v.id = i.vehicle_id
     where i.id = any(array(select jsonb_array_elements_text($1::jsonb)::uuid))`,
    [JSON.stringify([...new Set(findings.map(({ inspectionId }) => inspectionId))])],
  );
  const asksEntries = db.query<EntryRow>(
    'select id, inspection_id, point, place from finding where id = any(array(select jsonb_array_elements_text($1::jsonb)::uuid))',
    [JSON.stringify(findings.flatMap(({ id, parent }) => (parent === null ? [id] : [id, parent])))],
  );
  const [visits, entries] = await Promise.all([asksVisits, asksEntries]);
  return { visits: byId(visits), entries: byId(entries) };
}

const byId = <T extends { readonly id: string }>(rows: readonly T[]) => new Map(rows.map((row) => [row.id, row]));

function judge(facts: Facts, finding: Finding): Decision<Outcome> {
  const visit = facts.visits.get(finding.inspectionId);
  // One that was sent twice is there already, whatever became of the visit since.
  if (visit && !facts.entries.has(finding.id)) {
    if (visit.signed_at !== null) return refused('already-signed');
    if (visit.voided_at !== null) return refused('voided');
  }
  const refusal = fitsIn(facts, finding);
  return refusal ? refused(refusal) : takes(AS_SAID);
}

/** Why an entry does not belong where it says it does; null when it does. */
export function fitsIn({ visits, entries }: Facts, finding: Finding): Refusal | null {
  const { inspectionId, point, place } = finding;
  const visit = visits.get(inspectionId);
  if (!visit) return 'no-inspection';
  if (entries.has(finding.id)) return 'already-there';
  if (!hasPlace(visit.axles, cataloguePoint(point).repeats, place)) return 'no-place';
  if (finding.parent === null) return null;
  const parent = entries.get(finding.parent);
  const fits = parent?.inspection_id === inspectionId && parent.point === point && parent.place === place;
  return fits ? null : 'no-parent';
}

/** From here on later entries of the same run may build on it. */
function noted({ entries }: Facts, { id, inspectionId, point, place }: Finding): void {
  entries.set(id, { id, inspection_id: inspectionId, point, place });
}

function write(tx: Tx, taken: readonly Taken<Finding, Outcome>[]): Promise<void> {
  return insertRecords(
    tx,
    findingTable,
    taken.map(({ change: { by }, body }) => ({ record: body, beside: [[MADE_BY, by]] })),
  );
}
