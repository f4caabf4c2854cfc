/** @jest-environment node */
import type { Life, Visit } from '@weskopos/contract';
import { BUILT_IN_FLEET, NO_DETAILS, type Act, type Finding } from '@weskopos/core';
import { CAR, boardOf, findingOf, inspectionOf, readingOf, treadOf } from '@weskopos/core/tests/builders';
import MiniSearch from 'minisearch';
import { briefOf, type Brief } from '../../sync/brief';
import { addTo, blankFinder, findablesOf, findingsOf, found } from './findIn';
import { vehicleOnSticker } from './sticker';
import { todayOf } from './today';
import { endOfThisWeek } from './useToday';

const NOW = '2026-12-01T08:00:00.000Z';
const visit = (id: string, day: string, findings: readonly Finding[], signed = true): Visit => ({
  inspection: inspectionOf(CAR, {
    id,
    startedAt: `${day}T08:00:00.000Z`,
    signedAt: signed ? `${day}T09:00:00.000Z` : null,
    meter: 50_000,
  }),
  findings: findings.map((finding) => ({ ...finding, inspectionId: id, by: 'Isla' })),
  acts: [],
  inspector: 'Isla',
  signedBy: signed ? 'Isla' : null,
  sheet: null,
  amendments: [],
  voidedBy: null,
  seal: null,
});
const lifeOf = (visits: Visit[], change: Partial<Life> = {}): Life => ({
  vehicle: CAR,
  visits,
  entries: [],
  ...change,
});
const given = {
  fleet: BUILT_IN_FLEET,
  now: NOW,
  until: endOfThisWeek(NOW),
  lookedAt: '2026-11-25T08:00:00.000Z',
  person: 'Callum',
};
const today = (life: Life, board?: ReturnType<typeof boardOf>, change: Partial<typeof given> = {}) => {
  const brief = briefOf(life, []);
  return todayOf([brief], new Map([[CAR.id, brief]]), new Map(board ? [[CAR.id, board]] : []), { ...given, ...change });
};

const SOUND = findingOf('tyre.tread', '1L', { readings: treadOf(6, 6, 6) });
const BARE_PAD = findingOf('pad.inner', '1L', { readings: [readingOf('lining', 1)] });

describe('today’s board', () => {
  test('ends with the week, on its Sunday', () => {
    expect(new Date(endOfThisWeek(NOW)).getDay()).toBe(0);
    expect(endOfThisWeek(NOW) > NOW).toBe(true);
  });

  test('a visit that is half done is on the lift, with what hangs open and what runs by itself', () => {
    const open = visit('b', '2026-12-01', [SOUND], false);
    const acts = [
      { kind: 'open', id: 'o', at: NOW, end: 'drain-plug', place: '' },
      { kind: 'wait', id: 'w', at: NOW, wait: 'drain', lengthS: 600 },
    ].map((act) => ({ inspectionId: 'b', by: 'Isla', ...act }) as Act & Visit['acts'][number]);
    const { onLift, stopped, due } = today(lifeOf([visit('a', '2026-10-01', [BARE_PAD]), { ...open, acts }]));
    expect(onLift).toHaveLength(1);
    expect(onLift[0]).toMatchObject({ visitId: 'b', seen: 1, wait: { kind: 'drain', lengthS: 600 } });
    expect(onLift[0]?.ends).toHaveLength(1);
    expect(onLift[0]?.of).toBeGreaterThan(50);
    // It is told once: while it is on the lift it is nowhere else.
    expect([...stopped, ...due]).toEqual([]);
  });

  test('what must not be driven is told before what is due; nothing at all is told of one that is well', () => {
    const bad = today(lifeOf([visit('a', '2026-10-01', [BARE_PAD])]));
    expect(bad.stopped).toHaveLength(1);
    expect(bad.due).toEqual([]);
    const well = today(lifeOf([visit('a', '2026-10-01', [SOUND])]));
    expect(well).toEqual({ onLift: [], stopped: [], answered: [], due: [], fresh: [], changed: [], whole: true });
    // Before its life is known nothing is told of it, nor that there is nothing.
    expect(todayOf([briefOf(lifeOf([]), [])], new Map(), new Map(), given)).toMatchObject({
      stopped: [],
      whole: false,
    });
    expect(today(lifeOf([])).due).toEqual([]);
  });

  test('what a keeper answered since one looked is told, and what is planned this week comes on its day', () => {
    const stamp = (id: string, at: string) => ({ id, by: 'Isla', vehicleId: CAR.id, at, meter: null });
    const task = { code: 'pads', point: null, name: '', place: '1' } as const;
    const work = { kind: 'work', task, reasons: [], urgency: 'by', from: null, to: null, parts: [], note: '' } as const;
    const said = { kind: 'work-step', refers: 'w', words: '' } as const;
    const entries: Life['entries'] = [
      { ...stamp('w', '2026-11-20T08:00:00.000Z'), ...work, minutes: 90 },
      { ...stamp('s', '2026-11-28T08:00:00.000Z'), ...said, step: 'agreed', on: null, keeper: 'Greta' },
    ];
    const life = lifeOf([visit('a', '2026-10-01', [SOUND])], { entries });
    expect(today(life).answered).toMatchObject([{ works: [{ id: 'w', state: 'agreed' }] }]);
    expect(today(life, undefined, { lookedAt: '2026-11-29T08:00:00.000Z' }).answered).toEqual([]);
    const planned = { ...stamp('p', '2026-11-29T08:00:00.000Z'), ...said, step: 'planned', keeper: '' } as const;
    const at = (on: string) => today({ ...life, entries: [...entries, { ...planned, on }] });
    expect(at('2026-12-03').answered).toEqual([]);
    const [one] = at('2026-12-03').due;
    expect(one).toMatchObject({ planned: [{ id: 'w', plannedOn: '2026-12-03' }] });
    expect(one?.minutes).toBeGreaterThanOrEqual(90);
    expect(at('2027-02-03').due).toEqual([]);
  });

  test('due by Sunday: a job that is over, a visit whose turn it is, and not what comes later', () => {
    const job = { code: 'brake-fluid', name: '' } as const;
    const vehicle = {
      ...CAR,
      spec: { ...CAR.spec, intervals: [{ job, km: null, months: 24, hours: null }] },
    };
    const done = (at: string): Life['entries'] => [
      { id: 'j', by: 'Isla', vehicleId: CAR.id, at, meter: 10_000, kind: 'job', job, ...NO_DETAILS },
    ];
    const visits = [visit('a', '2026-10-01', [SOUND])];
    const over = today(lifeOf(visits, { vehicle, entries: done('2024-08-01T08:00:00.000Z') }));
    expect(over.due[0]?.list).toMatchObject([{ kind: 'job', late: true, when: { at: '2026-08-01' } }]);
    expect(today(lifeOf(visits, { vehicle, entries: done('2025-08-01T08:00:00.000Z') })).due).toEqual([]);
    const turn = today(lifeOf(visits), boardOf({ nextVisit: '2026-12-03T08:00:00.000Z' }));
    expect(turn.due).toMatchObject([{ list: [], turn: '2026-12-03T08:00:00.000Z' }]);
    expect(today(lifeOf(visits), boardOf({ nextVisit: '2026-12-09T08:00:00.000Z' })).due).toEqual([]);
  });

  test('new is what somebody else signed since one last looked', () => {
    const life = lifeOf([visit('a', '2026-11-28', [SOUND])]);
    expect(today(life).fresh).toMatchObject([{ signature: { visitId: 'a', by: 'Isla' } }]);
    expect(today(life, undefined, { person: 'Isla' }).fresh).toEqual([]);
    expect(today(life, undefined, { lookedAt: '2026-11-29T08:00:00.000Z' }).fresh).toEqual([]);
  });

  test('what falls due at a vehicle is added up once, and again when the day or the vehicle is another', () => {
    const brief = briefOf(lifeOf([visit('a', '2026-10-01', [BARE_PAD])]), []);
    const toldOf = (of: Brief, change: Partial<typeof given> = {}) =>
      todayOf([of], new Map([[CAR.id, of]]), new Map(), { ...given, ...change }).stopped[0]?.list[0];
    const first = toldOf(brief);
    expect(first).toMatchObject({ kind: 'finding', stops: true });
    expect(toldOf(brief)).toBe(first);
    // A week and a longer time are told from one sum.
    expect(toldOf(brief, { until: '2027-01-01T00:00:00.000Z' })).toBe(first);
    expect(toldOf(brief, { now: '2026-12-01T08:59:00.000Z' })).toBe(first);
    expect(toldOf(brief, { now: '2026-12-02T08:00:00.000Z' })).not.toBe(first);
    expect(toldOf({ ...brief })).not.toBe(first);
  });

  test('not as before is told once: with what is new where it is new, by itself later, never of one that must stand', () => {
    const board = boardOf({
      changes: [{ kind: 'use', what: 'fuel', since: '2026-10-01T08:00:00.000Z', factor: 1.3, sureness: 0.95 }],
    });
    const life = lifeOf([visit('a', '2026-11-28', [SOUND])]);
    const fresh = today(life, board);
    expect([fresh.fresh.length, fresh.changed.length]).toEqual([1, 0]);
    const later = today(life, board, { lookedAt: NOW });
    expect([later.fresh.length, later.changed.length]).toEqual([0, 1]);
    const stands = today(lifeOf([visit('a', '2026-11-28', [BARE_PAD])]), board, { lookedAt: NOW });
    expect([stands.stopped.length, stands.changed.length]).toEqual([1, 0]);
  });
});

describe('finding', () => {
  const life = lifeOf([visit('a', '2026-10-01', [BARE_PAD, SOUND])]);
  const finder = blankFinder(MiniSearch);
  const brief = briefOf(life, []);
  addTo(finder, findablesOf(brief));
  addTo(finder, findingsOf(CAR, brief.wrong));
  const titles = (wanted: string) => found(finder, wanted).map(({ kind, href }) => `${kind} ${href}`);
  const at = `/vehicle/${CAR.id}`;

  test.each([
    ['its code', CAR.fleetCode],
    ['its code in a hurry', CAR.fleetCode.replaceAll(' ', '').toLowerCase()],
    ['its make', CAR.make],
    ['a make spelt nearly', `${CAR.make.slice(0, 3)}x${CAR.make.slice(4)}`],
  ])('a vehicle by %s', (_, wanted) => expect(titles(wanted)).toContain(`vehicle ${at}`));

  test('one of its pages by its word, and no page without', () => {
    expect(titles(`${CAR.fleetCode} wear`)).toEqual([`page ${at}/wear`]);
    expect(titles(CAR.fleetCode).filter((one) => one.startsWith('page'))).toEqual([]);
  });

  test('what stands open by part, place or grade; what is well is no finding', () => {
    expect(titles('inner pad')).toEqual([`finding ${at}/visit/a/report`]);
    expect(titles('fail')).toEqual([`finding ${at}/visit/a/report`]);
    expect(titles('tread')).toEqual([]);
    expect(titles('no such thing')).toEqual([]);
  });
});

test.each([
  ['http://localhost:4000/vehicle/abc', 'abc'],
  ['https://other.example/vehicle/abc/', 'abc'],
  ['https://other.example/vehicle/abc/life', null],
  ['https://other.example/menu', null],
  ['WIFI:T:WPA;S:bay;;', null],
  ['', null],
])('a sticker’s code says %s: %s', (text, id) => expect(vehicleOnSticker(text)).toBe(id));
