import fs from 'node:fs/promises';
import { openContext, type Context } from '../context';
import { configFor, newFolder } from '../tests/workshop';
import { createPerson } from './createPerson';
import { SESSION_DAYS, Sessions } from './sessions';

const DAY_MS = 86_400_000;
let now = new Date('2026-06-01T08:00:00Z');
let folder: string;
let context: Context;
beforeAll(async () => {
  folder = await newFolder();
  context = await openContext(configFor(folder), () => now);
});
afterAll(async () => {
  await context.close();
  await fs.rm(folder, { recursive: true, force: true });
});

const rows = () => context.engine.query<{ token_hash: string }>('select token_hash from session');

test('a session holds for thirty days, also for a server that was started again, and is swept away afterwards', async () => {
  const person = await createPerson(context, { name: 'Isla', role: 'inspector', secret: '246810' }, null);
  const token = await context.sessions.open(person);
  const restarted = () => new Sessions(context.engine, () => now);
  expect(await context.sessions.personOf(token)).toEqual(person);
  now = new Date(now.getTime() + (SESSION_DAYS - 1) * DAY_MS);
  expect(await restarted().personOf(token)).toEqual(person);
  now = new Date(now.getTime() + 2 * DAY_MS);
  expect(await context.sessions.personOf(token)).toBeUndefined();
  expect(await restarted().personOf(token)).toBeUndefined();
  await context.sessions.open(person);
  expect(await rows()).toHaveLength(1);
});

test('what is stored opens nothing by itself', async () => {
  const [row] = await rows();
  expect(row).toBeDefined();
  expect(await context.sessions.personOf(row?.token_hash ?? '')).toBeUndefined();
});

test('ending one session leaves the person’s others open', async () => {
  const person = await createPerson(context, { name: 'Callum', role: 'inspector', secret: '135791' }, null);
  const [phone, desk] = [await context.sessions.open(person), await context.sessions.open(person)];
  expect(phone).not.toBe(desk);
  await context.sessions.end(phone);
  expect(await context.sessions.personOf(phone)).toBeUndefined();
  expect(await context.sessions.personOf(desk)).toEqual(person);
});
