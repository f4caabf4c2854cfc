import type { Place } from '../vehicle/vehicle';
import type { Wheel } from '../vehicle/place';
import { CAR, findingOf, inspectionOf, readingOf, treadOf, plainSeries } from '../tests/builders';
import type { VisitRecord } from '../inspection/visitRecord';
import { changeOfSets } from '../parts/tyreSets';
import { inferredChanges } from './inferredChanges';
import type { LifeEntry, LifeEntryContent } from '../parts/lifeEntry';

const at = (month: number) => `2026-0${month}-01T08:00:00.000Z`;
/** Depths by wheel, and the nearside front pad where one was read. */
function visit(month: number, tread: readonly (readonly [Place, number])[], pad?: number): VisitRecord {
  const id = `visit ${month}`;
  return {
    inspection: inspectionOf(CAR, { id, startedAt: at(month), meter: 10_000 + month * 2000 }),
    findings: [
      ...tread.map(([place, mm]) => findingOf('tyre.tread', place, { readings: treadOf(mm, mm, mm) }, id)),
      ...(pad === undefined
        ? []
        : ['pad.inner', 'pad.outer'].map((point) =>
            findingOf(point as 'pad.inner', '1L', { readings: [readingOf('lining', pad)] }, id),
          )),
    ],
  };
}
const entry = (id: string, when: string, content: LifeEntryContent): LifeEntry => ({
  id,
  vehicleId: CAR.id,
  at: when,
  meter: null,
  ...content,
});
const asked = (visits: readonly VisitRecord[], entries: readonly LifeEntry[] = []) =>
  inferredChanges(plainSeries(visits, entries));
const ALL = (front: number, rear: number): [Place, number][] => [
  ['1L', front],
  ['1R', front],
  ['2L', rear],
  ['2R', rear],
];

test('pads that got thicker are asked about once for the brake, with both looks', () => {
  const [change, ...rest] = asked([visit(1, [], 3), visit(3, [], 11.5)]);
  expect(rest).toEqual([]);
  expect(change).toMatchObject({
    kind: 'replaced',
    what: 'pads',
    place: '1L',
    after: { value: 3, at: at(1) },
    by: { value: 11.5, at: at(3) },
  });
  expect(change?.kind === 'replaced' && change.jumps.map(({ point }) => point)).toEqual(['pad.inner', 'pad.outer']);
});

test('depths that changed places over the axles are one rotation', () => {
  const [change, ...rest] = asked([visit(1, ALL(4, 6.5)), visit(3, ALL(6, 3.7))]);
  expect(rest).toEqual([]);
  expect(change?.kind === 'rotated' && change.moves).toEqual([
    { from: '2L', to: '1L' },
    { from: '2R', to: '1R' },
    { from: '1L', to: '2L' },
    { from: '1R', to: '2R' },
  ]);
});

test('new tyres in front are no rotation', () => {
  const changes = asked([visit(1, ALL(2, 6.5)), visit(3, ALL(8, 6.2))]);
  expect(changes.map((change) => change.kind === 'replaced' && change.place)).toEqual(['1L', '1R']);
});

test('four better tyres are asked about once: all new, or the other set', () => {
  const [change, ...rest] = asked([visit(1, ALL(3, 3.4)), visit(3, ALL(6, 6.2))]);
  expect(rest).toEqual([]);
  expect(change).toMatchObject({ kind: 'all-tyres', wheels: ['1L', '1R', '2L', '2R'], by: { at: at(3) } });
  const moves = changeOfSets(['1L', '1R', '2L', '2R']);
  expect(asked([visit(1, ALL(3, 3.4)), visit(3, ALL(6, 6.2))], [entry('s', at(2), { kind: 'rotate', moves })])).toEqual(
    [],
  );
});

test('what was written down is not asked again; neither is wear', () => {
  const fitted = entry('f', at(2), { kind: 'fit', what: 'pads', place: '1L', fresh: null, note: '' });
  expect(asked([visit(1, [], 3), visit(3, [], 11.5)], [fitted])).toEqual([]);
  const moves: { from: Wheel; to: Wheel }[] = [
    { from: '1L', to: '2L' },
    { from: '2L', to: '1L' },
    { from: '1R', to: '2R' },
    { from: '2R', to: '1R' },
  ];
  expect(asked([visit(1, ALL(4, 6.5)), visit(3, ALL(6, 3.7))], [entry('r', at(2), { kind: 'rotate', moves })])).toEqual(
    [],
  );
  expect(asked([visit(1, ALL(4, 6.5), 6), visit(3, ALL(3.6, 6.3), 5.5)])).toEqual([]);
});

test('a misread that is called one is asked no more', () => {
  const visits = [visit(1, [['1L', 4]]), visit(3, [['1L', 7]]), visit(5, [['1L', 3.4]])];
  expect(asked(visits)).toMatchObject([{ kind: 'replaced', place: '1L', by: { at: at(3) } }]);
  const misread = (['outer', 'centre', 'inner'] as const).map((spot) =>
    entry(spot, at(6), { kind: 'misread', inspectionId: 'visit 3', point: 'tyre.tread', place: '1L', spot }),
  );
  expect(asked(visits, misread)).toEqual([]);
});

test('the newest is asked first', () => {
  const changes = asked([visit(1, [['1L', 3]]), visit(3, [['1L', 8]]), visit(5, [['1L', 2]]), visit(7, [['1L', 8]])]);
  expect(changes.map(({ by }) => by.at)).toEqual([at(7), at(3)]);
});
