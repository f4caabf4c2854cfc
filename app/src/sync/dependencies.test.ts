import { CAR, findingOf, inspectionOf } from '@weskopos/core/tests/builders';
import type { Operation } from '@weskopos/contract';
import { mayGo } from './dependencies';

let last = 0;
const queued = (by: string, kind: Operation['kind'], body: object) => ({
  by,
  operation: { id: `op ${(last += 1)}`, at: '2026-06-01T08:00:00.000Z', device: 'd', kind, body } as Operation,
});
const visit = inspectionOf(CAR);
const entry = (by: string, id: string, parent: string | null = null) =>
  queued(by, 'finding.put', { ...findingOf('pad.inner', '1L'), id, inspectionId: visit.id, parent });
const sign = (by: string) => queued(by, 'inspection.sign', { inspectionId: visit.id, signedAt: visit.startedAt });
const ids = (operations: readonly Operation[]) => operations.map(({ id }) => id);

test('a change on another person’s unsent one waits for it, and what builds on that; the rest goes', () => {
  const queue = [entry('a', '1'), entry('b', '2', '1'), entry('b', '3', '2'), entry('b', '4')];
  const { go, held } = mayGo(queue, 'b', () => true);
  expect(ids(go)).toEqual([queue[3]?.operation.id]);
  expect(ids(held)).toEqual([queue[1]?.operation.id, queue[2]?.operation.id]);
  expect(ids(mayGo(queue, 'a', () => true).go)).toEqual([queue[0]?.operation.id]);
});

test('a signature waits for every entry of its visit that is still here', () => {
  const queue = [entry('a', '1'), sign('b')];
  expect(mayGo(queue, 'b', () => true).go).toEqual([]);
  expect(mayGo([entry('b', '1'), sign('b')], 'b', () => true).go).toHaveLength(2);
});

test('a visit begun by another waits with all that is in it; a new sheet of a known vehicle holds nobody up', () => {
  const start = queued('a', 'inspection.start', visit);
  expect(mayGo([start, entry('b', '1')], 'b', () => true).held).toHaveLength(1);
  const sheet = queued('a', 'vehicle.put', CAR);
  const mine = queued('b', 'inspection.start', visit);
  expect(mayGo([sheet, mine], 'b', () => true).go).toHaveLength(1);
  expect(mayGo([sheet, mine], 'b', () => false).held).toHaveLength(1);
});

test('acts wait for what they close, an undo for what it takes back, and for one the server fails at', () => {
  const open = queued('a', 'act.put', { id: 'end', inspectionId: visit.id, kind: 'open' });
  const close = queued('b', 'act.put', { id: 'shut', inspectionId: visit.id, kind: 'close', opens: 'end' });
  expect(mayGo([open, close], 'b', () => true).held).toHaveLength(1);
  const fit = queued('b', 'entry.put', { id: 'fit', vehicleId: CAR.id, kind: 'fit' });
  const undo = queued('b', 'entry.put', { id: 'undo', vehicleId: CAR.id, kind: 'undo', refers: 'fit' });
  expect(mayGo([fit, undo], 'b', () => true).go).toHaveLength(2);
  expect(mayGo([fit, undo], 'b', () => true, new Set([fit.operation.id])).go).toEqual([]);
});

test('an amendment waits for the signature it comes after, and for the amendment it builds on', () => {
  const amend = (by: string, id: string, parent: string | null = null) => {
    const finding = { ...findingOf('pad.inner', '1L'), id: `of ${id}`, inspectionId: visit.id, parent };
    return queued(by, 'amendment.put', { id, inspectionId: visit.id, at: visit.startedAt, why: 'again', finding });
  };
  expect(mayGo([entry('a', '1'), sign('b'), amend('b', 'x')], 'b', () => true).go).toEqual([]);
  expect(mayGo([sign('b'), amend('b', 'x'), amend('b', 'y', 'of x')], 'b', () => true).go).toHaveLength(3);
  expect(mayGo([amend('a', 'x'), amend('b', 'y', 'of x'), amend('b', 'z')], 'b', () => true).held).toHaveLength(1);
});

test('a visit is given up, taken up and corrected where it is known; a rule builds on none', () => {
  const start = queued('a', 'inspection.start', visit);
  for (const kind of ['inspection.void', 'inspection.restore', 'inspection.correct'] as const) {
    const change = queued('b', kind, { inspectionId: visit.id });
    expect(mayGo([start, change], 'b', () => true).held).toHaveLength(1);
    expect(mayGo([change], 'b', () => true).go).toHaveLength(1);
  }
  expect(mayGo([start, queued('b', 'rulebook.put', { version: 1 })], 'b', () => true).go).toHaveLength(1);
});
