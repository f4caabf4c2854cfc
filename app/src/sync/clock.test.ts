/** @jest-environment node */
import { heardServer, nowIso, nowMs } from './clock';

let steady = 0;
beforeEach(() => jest.spyOn(performance, 'now').mockImplementation(() => steady));
afterEach(() => jest.restoreAllMocks());

const SERVER = Date.parse('2026-06-01T08:00:00.000Z');

test('once the server was heard its time counts, and the steady clock carries it on', () => {
  heardServer(SERVER);
  expect(nowMs()).toBe(SERVER);
  steady += 90_000;
  expect(nowIso()).toBe('2026-06-01T08:01:30.000Z');
});

test('a device clock that is set while the page is open changes nothing', () => {
  const before = nowMs();
  jest.spyOn(Date, 'now').mockReturnValue(Date.parse('1999-01-01T00:00:00Z'));
  expect(nowMs()).toBe(before);
  steady += 1000;
  expect(nowMs()).toBe(before + 1000);
});

test('whole seconds of the server do not make time jump to and fro; a real difference is taken', () => {
  const before = nowMs();
  heardServer(before + 900);
  expect(nowMs()).toBe(before);
  heardServer(before - 60_000);
  expect(nowMs()).toBe(before - 60_000);
});

test('never before the newest thing on record', () => {
  expect(nowMs(nowMs() + 5000)).toBe(nowMs() + 5000);
});
