import { NO_DETAILS, changeOfSets } from '@weskopos/core';
import type { BoardPart } from '@weskopos/core/outlook';
import type { ChangeNote, LifeEntry, LifeEntryContent } from '@weskopos/core';
import { dueMs, whenOf, type FleetPart } from '../features/charts/fleetPart';
import { oneOfEachSet, wantedName } from '../features/fleet/orderLines';
import { entrySentence } from '@weskopos/words/entrySentence';
import { changeSentence } from '@weskopos/words/changeSentence';
import { CAR, boardOf } from '@weskopos/core/tests/builders';
import { dueWords } from '@weskopos/words/dueWords';
import { pointShort } from '@weskopos/words/show';

describe('what changed, in a sentence', () => {
  const wear = (change: Partial<Extract<ChangeNote, { kind: 'wear' }>> = {}): ChangeNote => ({
    kind: 'wear',
    scope: 'part',
    point: null,
    measures: ['lining'],
    places: ['1L'],
    spot: 'whole',
    factor: 2.04,
    since: '2026-05-02T08:00:00.000Z',
    sureness: 0.957,
    ...change,
  });

  test.each<[string, ChangeNote, string]>([
    [
      'one brake',
      wear(),
      'The pad nearside front wears about 2.0 times as fast since 2 May 2026 (96 % sure). Does the calliper drag or the slide stick?',
    ],
    ['both pads of one', wear({ measures: ['lining', 'disc'] }), 'The brake nearside front wears about'],
    ['all of a kind', wear({ scope: 'kind' }), 'The pads wear about 2.0 times as fast since'],
    ['all that wears', wear({ scope: 'vehicle' }), 'Tyres and brakes wear about 2.0 times as fast'],
    [
      'one pad of a brake',
      wear({ scope: 'spot', point: 'pad.inner' }),
      'The inner pad nearside front wears about 2.0 times as fast since',
    ],
    ['a driver is asked about', wear({ scope: 'vehicle' }), 'Another driver, route or load?'],
    ['a tyre', wear({ measures: ['tread'] }), 'The tyre nearside front wears'],
    [
      'one shoulder',
      wear({ scope: 'spot', point: 'tyre.tread', measures: ['tread'], spot: 'inner' }),
      'The tyre nearside front wears about 2.0 times as fast at its inner place since 2 May 2026 (96 % sure). Is the alignment out',
    ],
    [
      'a puncture',
      { kind: 'pressure', place: '2R', kpaPerMonth: 14.2, since: '', sureness: 0.8 },
      'The offside rear tyre loses 14 kPa a month more than the others (80 % sure): look for a slow puncture.',
    ],
    [
      'more fuel',
      { kind: 'use', what: 'fuel', factor: 1.163, since: '2026-05-23T08:00:00.000Z', sureness: 0.9999 },
      'Uses about 16 % more fuel since 23 May 2026 (99 % sure). Brakes that drag',
    ],
    [
      'less oil',
      { kind: 'use', what: 'oil', factor: 0.7, since: '2026-05-23T08:00:00.000Z', sureness: 0.95 },
      'Uses about 30 % less oil since 23 May 2026 (95 % sure).',
    ],
  ])('%s', (_, change, sentence) => expect(changeSentence(change, 2)).toContain(sentence));

  test('a narrow list calls a point by a name that fits it', () => {
    expect(pointShort('brake.fluid.water', '', 2)).toBe('Brake fluid');
    expect(pointShort('pad.inner', '1L', 2)).toMatch(/^Inner pad NSF/);
  });
});

describe('an entry as a line of the log', () => {
  const entry = (content: LifeEntryContent): LifeEntry => ({
    id: 'e',
    vehicleId: 'v',
    at: '2026-05-02T08:00:00.000Z',
    meter: null,
    ...content,
  });
  test.each<[LifeEntryContent, string]>([
    [{ kind: 'fuel', litres: 48.2, full: true, price: 71.4 }, 'Fuel 48.20 L, full, 71.40 paid'],
    [{ kind: 'fuel', litres: 10, full: false, price: null }, 'Fuel 10.00 L, partial'],
    [{ kind: 'top-up', fluid: 'engine-oil', litres: 0.5 }, 'Engine oil topped up, 0.50 L'],
    [{ kind: 'meter' }, 'Meter read'],
    [{ kind: 'job', job: { code: 'brake-fluid', name: '' }, ...NO_DETAILS }, 'Done: Brake fluid'],
    [{ kind: 'job', job: { code: 'own', name: 'Sand out' }, ...NO_DETAILS }, 'Done: Sand out'],
    [{ kind: 'fit', what: 'tyre', place: '1L', fresh: 8, note: 'winter' }, 'New: tyre nearside front, winter'],
    [{ kind: 'fit', what: 'battery', place: '', fresh: null, note: '' }, 'New: battery'],
    [
      {
        kind: 'rotate',
        moves: [
          { from: '1L', to: '2L' },
          { from: '2L', to: '1L' },
        ],
      },
      'Tyres rotated: nearside front to nearside rear, nearside rear to nearside front',
    ],
    [{ kind: 'rotate', moves: changeOfSets(['1L', '1R', '2L', '2R']) }, 'Tyre sets changed: the other set is on'],
    [{ kind: 'misread', inspectionId: 'i', point: 'tyre.tread', place: '1L', spot: 'inner' }, 'Called a misread'],
    [
      { kind: 'plan', distance: 3000, until: '2026-06-30T08:00:00.000Z' },
      'Coming trip: 3\u202f000 km over what is usual, by 30 Jun 2026',
    ],
    [{ kind: 'undo', refers: 'e' }, 'Taken back'],
  ])('%j', (content, sentence) => expect(entrySentence(entry(content), CAR, [])).toContain(sentence));
});

describe('parts on the fleet board', () => {
  const vehicle = (vehicleId: string) => boardOf({ vehicleId, fleetCode: vehicleId });
  const [one, other] = [vehicle('FH 1'), vehicle('FH 2')];
  const part = (change: Partial<BoardPart> = {}, on = one): FleetPart => ({
    seats: 2,
    key: 'pad.inner@1L:whole',
    point: 'pad.inner',
    place: '1L',
    spot: 'whole',
    measure: 'lining',
    size: '',
    value: 5,
    limit: 1.5,
    basis: 'law',
    status: 'running-out',
    at: '2026-01-01T00:00:00.000Z',
    distance: { low: 1000, mid: 3000, high: 6000 },
    days: { low: 10, mid: 31, high: 70 },
    besidePeers: 1,
    ...change,
    vehicle: on,
  });

  test('are due at the middle of their forecast; what is under its limit is due now, what nobody can tell is last', () => {
    expect(new Date(dueMs(part())).toISOString()).toBe('2026-02-01T00:00:00.000Z');
    expect(dueMs(part({ status: 'reached' }))).toBe(0);
    expect(dueMs(part({ days: null }))).toBe(Infinity);
    expect(whenOf(part())).toBe('about Feb 2026');
    expect(whenOf(part({ status: 'reached' }))).toBe('now');
    expect(whenOf(part({ days: null }))).toBe('about 3\u202f000 km');
  });

  test('a set of pads is ordered once an axle, by the first that ends it; tyres each for itself', () => {
    const parts = [
      part(),
      part({ place: '1R', key: 'pad.inner@1R:whole' }),
      part({ place: '2L', key: 'pad.inner@2L:whole' }),
      part({ measure: 'tread', point: 'tyre.tread', key: 'tyre.tread@1L:centre', size: '185/65 R15' }),
      part({ measure: 'tread', point: 'tyre.tread', place: '1R', key: 'tyre.tread@1R:centre', size: '' }),
      part({}, other),
    ];
    const lines = oneOfEachSet(parts);
    expect(lines).toHaveLength(5);
    expect(lines[0]).toBe(parts[0]);
    expect(lines.map(wantedName)).toEqual([
      'Brake pads, axle set',
      'Brake pads, axle set',
      'Tyre tread 185/65 R15',
      'Tyre tread of unknown size',
      'Brake pads, axle set',
    ]);
  });
});

test('what falls due is told by meter and date, and where nobody wrote it down, that', () => {
  const due = {
    job: { code: 'brake-fluid', name: '' } as const,
    doneAt: '2026-01-01',
    meter: 50_000,
    by: '2028-01-01',
    capped: false,
  };
  expect(dueWords(due, 'km')).toBe('Next Brake fluid: 50\u202f000 km or 1 Jan 2028');
  expect(dueWords({ ...due, meter: null }, 'km')).toBe('Next Brake fluid: 1 Jan 2028');
  expect(dueWords({ ...due, meter: null, capped: true }, 'km')).toBe('Next Brake fluid: 1 Jan 2028, by the house cap');
  expect(dueWords({ job: { code: 'own', name: 'Oil' }, doneAt: null, meter: null, by: null, capped: false }, 'h')).toBe(
    'Oil: last time not on record',
  );
});
