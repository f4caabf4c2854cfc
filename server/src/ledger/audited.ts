import type { Audited } from '@weskopos/contract';
import type { Change } from './change';

/** What a change puts on the audit list. */
export interface AuditRow {
  readonly kind: Audited;
  readonly subject: string | null;
  readonly about: string;
}

/** Null for a change that is none for the list: everything that happens in the course of a visit. */
export function auditedOf({ operation }: Change): AuditRow | null {
  switch (operation.kind) {
    case 'audit.note':
      return { kind: operation.body.what, subject: null, about: operation.body.about };
    case 'person.add':
      return { kind: 'person.add', subject: operation.body.id, about: operation.body.role };
    case 'person.change': {
      const { id, role, state } = operation.body;
      return { kind: 'person.change', subject: id, about: [role, state].filter(Boolean).join(', ') };
    }
    case 'person.secret':
      return { kind: 'person.secret', subject: operation.body.id, about: operation.body.onceUntil ? 'code' : '' };
    case 'token.give':
      return { kind: 'token.give', subject: null, about: `${operation.body.name}, ${operation.body.scope}` };
    case 'token.end':
      return { kind: 'token.end', subject: operation.body.id, about: '' };
    case 'rulebook.put':
      return { kind: 'rulebook.put', subject: null, about: String(operation.body.version) };
    case 'link.give':
      return { kind: 'link.give', subject: operation.body.vehicleId, about: '' };
    case 'link.end':
      return { kind: 'link.end', subject: null, about: '' };
    case 'prices.put':
      return { kind: 'prices.put', subject: null, about: String(operation.body.version) };
    case 'calendar.give':
      return { kind: 'calendar.give', subject: operation.body.vehicleId, about: operation.body.of };
    case 'calendar.end':
      return { kind: 'calendar.end', subject: null, about: '' };
    case 'keeper.blank':
      return { kind: 'keeper.blank', subject: operation.body.vehicleId, about: operation.body.why };
    case 'bundle.take':
      return { kind: 'bundle.take', subject: null, about: operation.body.file.slice(0, 16) };
    case 'inspection.void':
      return { kind: 'inspection.void', subject: operation.body.inspectionId, about: operation.body.why };
    case 'inspection.restore':
      return { kind: 'inspection.restore', subject: operation.body.inspectionId, about: '' };
    case 'amendment.put':
      return { kind: 'amendment.put', subject: operation.body.inspectionId, about: operation.body.why };
    case 'inspection.sign': {
      const { inspectionId, over } = operation.body;
      return over === undefined ? null : { kind: 'signed-over', subject: inspectionId, about: over };
    }
    case 'finding.put': {
      const { inspectionId, override, point } = operation.body;
      return override && { kind: 'override', subject: inspectionId, about: `${point}: ${override.grade}` };
    }
    case 'act.put':
      return operation.body.kind === 'gate-override'
        ? { kind: 'gate-override', subject: operation.body.inspectionId, about: operation.body.reason }
        : null;
    default:
      return null;
  }
}
