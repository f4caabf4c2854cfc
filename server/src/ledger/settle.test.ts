import { randomUUID } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import { putFinding } from '../inspections/findingWriter';
import { newFinding, operationOf } from '../tests/workshop';
import type { Asks, Writer } from './change';
import type { Tx } from '../db/engine';
import { settle } from './settle';

const unheard: unknown[] = [];
const note = (reason: unknown) => unheard.push(reason);
beforeAll(() => process.on('unhandledRejection', note));
afterAll(() => process.off('unhandledRejection', note));

test('a database that dies under several questions is one failure, and none goes unheard', async () => {
  let asked = 0;
  // Each answer in a turn of its own, so that nobody hears a later one by chance.
  const dead = {
    query: async () => {
      asked += 1;
      await wait(asked * 5);
      throw new Error('gone');
    },
  } as unknown as Tx;
  const change = {
    operation: operationOf('finding.put', newFinding(randomUUID())),
    by: randomUUID(),
    receivedAt: '2026-01-01T08:00:00.000Z',
  };
  const writers = { of: () => putFinding as Writer<unknown> };
  await expect(settle(dead, [change], writers, {} as Asks)).rejects.toThrow('gone');
  await wait(50);
  expect(asked).toBe(3);
  expect(unheard).toEqual([]);
});
