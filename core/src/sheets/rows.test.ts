import { CAR, MINIBUS, findingOf, inspectionOf } from '../tests/builders';
import { USUAL_HOUSE_RULES } from '../house/houseRules';
import type { LifeEntry } from '../parts/lifeEntry';
import type { Vehicle } from '../vehicle/vehicle';
import { takeEntries } from './entryRows';
import { guessColumns, guessKind } from './guessColumns';
import { guessStyle } from './guessStyle';
import { takeReadings, type KnownVehicle } from './readingRows';
import type { DoubtAnswers } from './rowFate';
import type { SheetReading } from './rowReader';
import type { SheetField, SheetKind } from './sheetKinds';
import { takeVehicles } from './vehicleRows';

const NOW = '2026-06-01T09:00:00.000Z';
const idOf = (text: string) => `id of ${text.replace(/\n/g, ' ')}`;

/** A table as somebody might write it: a line each, cells parted by `|`. */
function table(kind: SheetKind | null, text: string, fixed: SheetReading['fixed'] = {}) {
  const [head = '', ...lines] = text.trim().split('\n');
  const cells = (line: string) => line.split('|').map((cell) => cell.trim());
  const below = lines.map(cells);
  const style = guessStyle(below, ',');
  const given = { traffic: 'left', driverSide: null, axles: CAR.axles } as const;
  const guess = kind
    ? { kind, columns: guessColumns(kind, cells(head), below, style, given) }
    : guessKind(cells(head), below, style, given);
  return { reading: { ...guess, style, fixed }, rows: below.map((row, n) => ({ row: n + 2, cells: row })) };
}

const known = (vehicle: Vehicle, visits: KnownVehicle['visits'] = []): KnownVehicle => ({ vehicle, visits });
function readings(text: string, given = known(CAR), answers: DoubtAnswers = {}, fixed: SheetReading['fixed'] = {}) {
  const { reading, rows } = table('readings', text, fixed);
  const taking = { reading, answers, house: USUAL_HOUSE_RULES, rulebook: 0, now: NOW, source: 'old.csv', idOf };
  const { fates, visits } = takeReadings(rows, given, taking);
  const told = fates.map(({ fate, faults, doubts }) =>
    [fate, ...faults.map(({ field, code }) => `${field} ${code}`), ...doubts.map(({ code }) => `? ${code}`)].join(', '),
  );
  return { told, visits, fates };
}

const HEAD = 'vehicle | date | km | point | place | spot | value | unit | by | note\n';
const GOOD = 'T 1 | 2026-05-02 | 48000 | tyre.tread | FL | outer | 5.2 | mm | Kasimir | old book';

describe('readings, a row each', () => {
  test('rows of one day are one visit that says where it comes from', () => {
    const { told, visits } = readings(`${HEAD}${GOOD}
      T 1 | 2026-05-02 | 48000 | tread | 1L | inner | 4,8 mm | | Kasimir |
      T 1 | 2026-05-02 | 48000 | tyre pressure | front left | | 33 | psi | Kasimir |
      T 1 | 2026-05-02 | 48000 | brake.fluid.water | | | 2 | | Kasimir |
      T 1 | 2026-05-03 | 48010 | tyre.age | 1R | | 0523 | | |`);
    expect(told).toEqual(['fresh', 'refused, value unreadable', 'fresh', 'fresh', 'fresh']);
    expect(
      visits.map(({ by, inspection }) => [by, inspection.startedAt, inspection.meter, inspection.broughtFrom]),
    ).toEqual([
      ['Kasimir', '2026-05-02T12:00:00.000Z', 48000, 'old.csv'],
      ['', '2026-05-03T12:00:00.000Z', 48010, 'old.csv'],
    ]);
    const [first, second] = visits;
    expect(first?.inspection.focus).toEqual(['tyre.tread@1L', 'tyre.pressure@1L', 'brake.fluid.water']);
    expect(first?.findings.map(({ note, readings: [one] }) => [one?.measure, one?.spot, one?.values, note])).toEqual([
      ['tread', 'outer', [5.2], 'old book'],
      ['pressure', 'whole', [expect.closeTo(227.5, 1)], ''],
      ['water', 'whole', [2], ''],
    ]);
    expect(second?.findings[0]?.readings[0]?.values).toEqual([202305]);
  });

  test.each([
    ['T 1 | | 48000 | tyre.tread | 1L | outer | 5', 'at missing'],
    ['T 1 | 02.05.26x | 48000 | tyre.tread | 1L | outer | 5', 'at unreadable'],
    ['T 1 | 2027-05-02 | 48000 | tyre.tread | 1L | outer | 5', 'at future'],
    ['T 1 | 1940-05-02 | 48000 | tyre.tread | 1L | outer | 5', 'at out-of-range'],
    ['T 1 | 2026-05-02 | | tyre.tread | 1L | outer | 5', 'meter missing'],
    ['T 1 | 2026-05-02 | 9,000,000 | tyre.tread | 1L | outer | 5', 'meter out-of-range'],
    ['T 1 | 2026-05-02 | 48000 | the radio | 1L | outer | 5', 'point unknown'],
    ['T 1 | 2026-05-02 | 48000 | | 1L | outer | 5', 'point missing'],
    ['T 1 | 2026-05-02 | 48000 | cabin.horn | | | 5', 'point unknown'],
    ['T 1 | 2026-05-02 | 48000 | tyre.tread | 3L | outer | 5', 'place no-place'],
    ['T 1 | 2026-05-02 | 48000 | tyre.tread | | outer | 5', 'place no-place'],
    ['T 1 | 2026-05-02 | 48000 | brake.fluid.water | 1L | | 5', 'place no-place'],
    ['T 1 | 2026-05-02 | 48000 | tyre.tread | 1L | | 5', 'spot missing'],
    ['T 1 | 2026-05-02 | 48000 | tyre.tread | 1L | top | 5', 'spot unknown'],
    ['T 1 | 2026-05-02 | 48000 | tyre.tread | 1L | outer | ', 'value missing'],
    ['T 1 | 2026-05-02 | 48000 | tyre.tread | 1L | outer | deep', 'value unreadable'],
    ['T 1 | 2026-05-02 | 48000 | tyre.tread | 1L | outer | 84', 'value out-of-range'],
    ['T 1 | 2026-05-02 | 48000 | tyre.tread | 1L | outer | 5 | bar', 'unit other-unit'],
    ['T 1 | 2026-05-02 | 48000 | tyre.age | 1L | | 9923', 'value unreadable'],
  ])('refused with its field: %s', (row, why) => {
    const { told, visits, fates } = readings(HEAD + row);
    expect(told).toEqual([`refused, ${why}`]);
    expect(visits).toEqual([]);
    expect(fates[0]?.faults[0]?.allowed).not.toBe('');
  });

  test('days that are in another order than the rest say so', () => {
    const { told } = readings(
      `${HEAD}T 1 | 13.04.2026 | 1 | tread | 1L | outer | 5\nT 1 | 04.13.2026 | 2 | tread | 1L | outer | 5\nT 1 | 14.04.2026 | 3 | tread | 1L | outer | 5`,
    );
    expect(told).toEqual(['fresh', 'refused, at swapped-day', 'fresh']);
  });

  test('what every row says of a field without a column counts for all', () => {
    const text = 'vehicle | date | km | point | place | value\nT 1 | 2026-05-02 | 48000 | tread | 1L | 5.2';
    expect(readings(text).told).toEqual(['refused, spot missing']);
    expect(readings(text, known(CAR), {}, { spot: 'centre' }).told).toEqual(['fresh']);
  });

  const HERE = known(CAR, [
    {
      inspection: inspectionOf(CAR, {
        startedAt: '2026-05-02T07:00:00.000Z',
        meter: 48_000,
        signedAt: '2026-05-02T08:00:00.000Z',
      }),
      findings: [
        findingOf('tyre.tread', '1L', {
          readings: [{ measure: 'tread', spot: 'outer', phase: 'found', values: [5.2], bound: 'exact', step: null }],
        }),
      ],
    },
  ]);

  test('what is here is recognised by day, place and value; a row that stands twice counts once', () => {
    expect(readings(HEAD + GOOD, HERE).told).toEqual(['same']);
    expect(readings(`${HEAD}${GOOD}\n${GOOD}`).told).toEqual(['fresh', 'same']);
    const twice = readings(`${HEAD}${GOOD}\n${GOOD}`);
    expect(twice.visits[0]?.findings[0]?.readings[0]?.values).toEqual([5.2]);
  });

  test.each<[string, string, DoubtAnswers, KnownVehicle]>([
    ['here-otherwise', GOOD.replace('5.2', '6.1'), { 'here-otherwise': 'keep' }, HERE],
    ['behind', GOOD.replace('48000', '40000').replace('05-02', '05-20'), { behind: 'meter-replaced' }, HERE],
    ['too-far', GOOD.replace('48000', '98000').replace('05-02', '05-09'), { 'too-far': 'keep' }, HERE],
    ['unlikely', GOOD.replace('5.2', '19'), { unlikely: 'keep' }, known(CAR)],
    [
      'unit-slip',
      GOOD.replace('tyre.tread', 'tyre.pressure').replace('outer', '').replace('5.2 | mm', '33 | kPa'),
      { 'unit-slip': 'keep' },
      known(CAR),
    ],
    ['read-twice', `${GOOD}\n${GOOD.replace('5.2', '5.4')}`, { 'read-twice': 'keep' }, known(CAR)],
  ])('%s is asked once, then kept or left out', (code, row, answers, given) => {
    const open = readings(HEAD + row, given);
    expect(open.told.at(-1)).toBe(`doubtful, ? ${code}`);
    const left = readings(HEAD + row, given, { [code]: 'leave' });
    expect(left.told.at(-1)).toBe(`doubtful, ? ${code}`);
    const kept = readings(HEAD + row, given, answers);
    expect(kept.told.at(-1)).toBe(`fresh, ? ${code}`);
    expect(kept.visits).toHaveLength(1);
    expect(open.visits).toHaveLength(code === 'read-twice' ? 1 : 0);
  });

  test('a meter that went back is told as it was answered', () => {
    const row = HEAD + GOOD.replace('48000', '40000').replace('05-02', '05-20');
    const meters = (['meter-replaced', 'last-misread', 'keep'] as const).map(
      (behind) => readings(row, HERE, { behind }).visits[0]?.inspection.meterAnswer,
    );
    expect(meters).toEqual(['meter-replaced', 'last-misread', null]);
  });

  test('two meters in one visit: the second is refused', () => {
    expect(readings(`${HEAD}${GOOD}\n${GOOD.replace('48000', '48500').replace('outer', 'inner')}`).told).toEqual([
      'fresh',
      'refused, meter other-meter',
    ]);
  });

  test('the same rows make the same ids, other rows others', () => {
    const [one, again, other] = [GOOD, GOOD, GOOD.replace('5.2', '5.3')].map((row) => readings(HEAD + row).visits[0]);
    expect(again).toEqual(one);
    expect(other?.inspection.id).not.toBe(one?.inspection.id);
  });
});

describe('readings, a row a visit', () => {
  const WIDE = 'plate | date | odometer | FL tread | FR tread | RL outer tread | battery voltage\n';
  test('empty cells say nothing; a place the vehicle does not have is refused', () => {
    const { told, visits } = readings(
      `${WIDE}T 1 | 2026-05-02 | 48000 | 5 | 5.5 | | 12.6\nT 1 | 2026-05-09 | 49000 | 4 | | |\nT 1 | 2026-05-16 | 49000 | | | |`,
    );
    expect(told).toEqual(['fresh', 'fresh', 'refused, value missing']);
    expect(visits.map(({ findings }) => findings.length)).toEqual([3, 1]);
    expect(readings(`${WIDE}T 2 | 2026-05-02 | 48000 | 5 | | |`, known(MINIBUS)).told).toEqual(['fresh']);
    expect(readings('plate | date | odometer | RL tread\nT 2 | 2026-05-02 | 48000 | 5', known(MINIBUS)).told).toEqual([
      'refused, place no-place',
    ]);
  });
});

function entries(
  kind: SheetKind,
  text: string,
  here: LifeEntry[] = [],
  answers: DoubtAnswers = {},
  visits: KnownVehicle['visits'] = [],
) {
  const { reading, rows } = table(kind, text);
  const taken = takeEntries(
    rows,
    { vehicle: CAR, visits, entries: here },
    { reading, answers, house: USUAL_HOUSE_RULES, now: NOW, idOf },
  );
  return {
    told: taken.fates.map(({ fate, faults, doubts }) =>
      [fate, ...faults.map(({ field, code }) => `${field} ${code}`), ...doubts.map(({ code }) => `? ${code}`)].join(
        ', ',
      ),
    ),
    entries: taken.entries.map(({ entry: { id: _id, vehicleId: _of, ...entry } }) => entry),
    whole: taken.entries.map(({ entry }) => entry),
  };
}

describe('a log, jobs and parts', () => {
  test('fuel, oil and meters, told by kind or by what else there is', () => {
    const { told, entries: made } = entries(
      'log',
      `vehicle | date | odo | type | litres | full tank | cost | product
      T 1 | 2.5.2026 | 48000 | fuel | 41.5 | yes | 70.20 |
      T 1 | 12.5.2026 | 48200 | | 0.5 | | | engine oil
      T 1 | 13.5.2026 | 48300 | | | | |
      T 1 | 14.5.2026 | | meter | | | |
      T 1 | 15.5.2026 | 48400 | fuel | | | |
      T 1 | 16.5.2026 | 48400 | top-up | 1 | | | soup
      T 1 | 17.5.2026 | 48400 | race | 1 | | |
      T 1 | 18.5.2026 | 48400 | fuel | 4 | maybe | |`,
    );
    expect(told).toEqual([
      'fresh',
      'fresh',
      'fresh',
      'refused, meter missing',
      'refused, litres missing',
      'refused, fluid unknown',
      'refused, kind unknown',
      'refused, full unknown',
    ]);
    expect(made).toMatchObject([
      { kind: 'fuel', litres: 41.5, full: true, price: 70.2, meter: 48000 },
      { kind: 'top-up', fluid: 'engine-oil', litres: 0.5 },
      { kind: 'meter', meter: 48300 },
    ]);
  });

  test('a meter is held against visits and entries that are here, and against the rows before it', () => {
    const signed = { signedAt: '2026-05-01T08:00:00.000Z' };
    const visits = [
      {
        inspection: inspectionOf(CAR, { startedAt: '2026-05-01T07:00:00.000Z', meter: 48_000, ...signed }),
        findings: [],
      },
      {
        inspection: inspectionOf(CAR, { startedAt: '2026-05-20T07:00:00.000Z', meter: 49_000, ...signed }),
        findings: [],
      },
    ];
    const text = `vehicle | date | odo | litres
      T 1 | 2026-05-02 | 1 | 40
      T 1 | 2026-05-04 | 48200 | 40
      T 1 | 2026-05-08 | 84400 | 40
      T 1 | 2026-05-10 | 48600 | 40
      T 1 | 2026-05-15 | 49500 | 40
      T 1 | 2026-05-22 | 49100 | 40`;
    // What is odd is no measure for what comes behind it.
    expect(entries('log', text, [], {}, visits).told).toEqual([
      'doubtful, ? behind',
      'fresh',
      'doubtful, ? too-far',
      'fresh',
      'doubtful, ? behind',
      'fresh',
    ]);
    expect(entries('log', text, [], { behind: 'keep', 'too-far': 'leave' }, visits).entries).toHaveLength(5);
  });

  test('jobs by their names and codes; one before the vehicle was built is asked', () => {
    const text = `vehicle | date | km | work | position | parts | invoice
      T 1 | 2.5.2026 | 48000 | Oil change | | AB 12 | R-1
      T 1 | 2.5.2026 | | brake-fluid | | |
      T 1 | 2.5.2026 | 48000 | Waxed the seams | rear axle | |
      T 1 | 2.5.2012 | | Coolant | | |
      T 1 | 2.5.2026 | 48000 | | | |
      T 1 | 2.5.2026 | 48000 | Greasing | roof | |`;
    const { told, entries: made, whole } = entries('jobs', text);
    expect(told).toEqual([
      'fresh',
      'fresh',
      'fresh',
      'doubtful, ? before-built',
      'refused, job missing',
      'refused, place no-place',
    ]);
    expect(made).toMatchObject([
      { job: { code: 'engine-oil', name: 'Oil change' }, numbers: 'AB 12', paper: 'R-1', meter: 48000 },
      { job: { code: 'brake-fluid', name: '' }, meter: null },
      { job: { code: 'own', name: 'Waxed the seams' }, place: '2' },
    ]);
    expect(entries('jobs', text, whole).told.slice(0, 3)).toEqual(['same', 'same', 'same']);
    expect(entries('jobs', text, [], { 'before-built': 'keep' }).told[3]).toBe('fresh, ? before-built');
  });

  test('parts with their place and what they measured when they were new', () => {
    const { told, entries: made } = entries(
      'parts',
      `vehicle | date | km | component | wheel | when new
      T 1 | 2.5.2026 | 48000 | tyres | FL | 8
      T 1 | 2.5.2026 | 48000 | brake pads | rear left | 11
      T 1 | 2.5.2026 | 48000 | battery | |
      T 1 | 2.5.2026 | 48000 | tyre | | 8
      T 1 | 2.5.2026 | 48000 | bonnet | |`,
    );
    expect(told).toEqual(['fresh', 'fresh', 'fresh', 'refused, place no-place', 'refused, what unknown']);
    expect(made).toMatchObject([
      { kind: 'fit', what: 'tyre', place: '1L', fresh: 8 },
      { kind: 'fit', what: 'pads', place: '2L', fresh: 11 },
      { kind: 'fit', what: 'battery', place: '', fresh: null },
    ]);
  });
});

describe('vehicles', () => {
  const take = (text: string, here: Vehicle[] = [], answers: DoubtAnswers = {}) => {
    const { reading, rows } = table('vehicles', text);
    return takeVehicles(rows, here, { reading, answers, now: NOW, idOf });
  };
  const HEADS =
    'fleet no | registration | make | model | built | category | counts | axles | front tyre pressure (bar) | oil litres\n';

  test('new ones are made of what the table says; what is needed and missing is refused', () => {
    const { fates, vehicles } = take(`${HEADS}FH 9 | AB 1 | Osprell | Linnet | 12.03.2019 | van | km | 3 | 2.4 | 5.5
      FH 9 | | | | 2020 | car | | | |
      FH 10 | | | | | car | | | |
      FH 11 | | | | 2020 | spaceship | | | |
      FH 12 | | | | 2030 | car | | 7 | |`);
    expect(fates.map(({ fate, faults }) => [fate, ...faults.map(({ field, code }) => `${field} ${code}`)])).toEqual([
      ['fresh'],
      ['refused', 'fleetCode code-taken'],
      ['refused', 'year missing'],
      ['refused', 'class unknown'],
      ['refused', 'year out-of-range', 'axles out-of-range'],
    ]);
    expect(vehicles).toMatchObject([
      { fleetCode: 'FH 9', plate: 'AB 1', year: 2019, class: 'light-goods', axles: [{ placardKpa: 240 }, {}, {}] },
    ]);
    expect(vehicles[0]?.spec.fluids).toMatchObject([{ fluid: 'engine-oil', capacityL: 5.5 }]);
  });

  test('known ones: the same is told so, what differs is asked, what is left empty stays', () => {
    const row = (plate: string, year: string) => `${HEADS}t 1 | ${plate} | | | ${year} | | | | |`;
    expect(take(row('TST 1', '2020'), [CAR]).fates[0]?.fate).toBe('same');
    const open = take(row('NEW 1', ''), [CAR]);
    expect(open.fates[0]).toMatchObject({
      fate: 'doubtful',
      doubts: [{ field: 'plate', written: 'NEW 1', allowed: 'TST 1' }],
    });
    expect(open.vehicles).toEqual([]);
    const kept = take(row('NEW 1', ''), [CAR], { 'here-otherwise': 'keep' });
    expect(kept.vehicles).toEqual([{ ...CAR, plate: 'NEW 1' }]);
  });

  test('a field that a column of another kind would have is none of this table', () => {
    const { reading } = table('vehicles', `${HEADS}a | b | c | d | 2020 | car | | | |`);
    expect(reading.columns.map(({ field }) => field)).not.toContain<SheetField>('at');
  });
});
