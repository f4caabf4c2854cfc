import type { Operation } from '@weskopos/contract';
import type { Finding } from '@weskopos/core';
import type { RefusedOperation } from './deviceStore';

/** Whether an entry came in after its visit was signed: it can only be added as an amendment. */
export function isLate({ operation, refusal }: RefusedOperation): boolean {
  return operation.kind === 'finding.put' && refusal === 'already-signed';
}

/** The amendment a late entry becomes, following what stands at its point. */
export function amendmentOf(
  finding: Finding,
  standing: Finding | undefined,
  {
    id,
    findingId,
    at,
    why,
  }: { readonly id: string; readonly findingId: string; readonly at: string; readonly why: string },
): Extract<Operation, { kind: 'amendment.put' }>['body'] {
  const { inspectionId } = finding;
  return { id, inspectionId, at, why, finding: { ...finding, id: findingId, parent: standing?.id ?? null } };
}
