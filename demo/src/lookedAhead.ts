import { BUILT_IN_RULEBOOK, aheadNotes, currentFindings, lookAheadOf, rulesOf } from '@weskopos/core';
import type { LifeEntry, Vehicle, VisitRecord } from '@weskopos/core';
import type { Operation } from '@weskopos/contract';

/** A visit as its operations tell it. */
export function visitIn(operations: readonly Operation[]): VisitRecord | undefined {
  const start = operations.find((operation) => operation.kind === 'inspection.start');
  const findings = operations.flatMap((operation) => (operation.kind === 'finding.put' ? [operation.body] : []));
  return start && { inspection: start.body, findings };
}

/** The same operations, signed with the chances that a phone would have shown: by what was known of the vehicle then. */
export function lookedAhead(
  operations: readonly Operation[],
  vehicle: Vehicle,
  visits: readonly VisitRecord[],
  entries: readonly LifeEntry[],
): readonly Operation[] {
  const visit = visitIn(operations);
  if (!visit) return operations;
  const { inspection, findings } = visit;
  const rules = rulesOf(BUILT_IN_RULEBOOK, inspection.template);
  const known = entries.filter(({ at }) => at <= inspection.startedAt);
  const lookAhead = lookAheadOf({ vehicle, inspection, visits, entries: known, rules });
  const ahead = aheadNotes(currentFindings(findings).standing, lookAhead);
  return operations.map((operation) =>
    operation.kind === 'inspection.sign' ? { ...operation, body: { ...operation.body, ahead } } : operation,
  );
}
