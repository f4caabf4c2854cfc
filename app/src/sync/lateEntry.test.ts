/** @jest-environment node */
import type { Operation } from '@weskopos/contract';
import { findingOf } from '@weskopos/core/tests/builders';
import type { RefusedOperation } from './deviceStore';
import { amendmentOf, isLate } from './lateEntry';

const finding = findingOf('belt.aux', '', { words: ['cracked'] });
const operation = { id: 'o', at: finding.at, device: 'd', kind: 'finding.put', body: finding } as Operation;

test.each<[RefusedOperation, boolean]>([
  [{ operation, refusal: 'already-signed' }, true],
  [{ operation, refusal: 'no-parent' }, false],
  [{ operation: { ...operation, kind: 'act.put' } as Operation, refusal: 'already-signed' }, false],
])('an entry that came after its visit was signed is late, nothing else is', (refused, late) => {
  expect(isLate(refused)).toBe(late);
});

test('it becomes an amendment that says the same, on what stands now', () => {
  const stamp = { id: 'a', findingId: 'f', at: finding.at, why: 'came late' };
  const standing = findingOf('belt.aux', '');
  expect(amendmentOf(finding, standing, stamp)).toEqual({
    id: 'a',
    inspectionId: finding.inspectionId,
    at: finding.at,
    why: 'came late',
    finding: { ...finding, id: 'f', parent: standing.id },
  });
  expect(amendmentOf(finding, undefined, stamp).finding.parent).toBeNull();
});
