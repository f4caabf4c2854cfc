import { MEASURE_CODES, MEASURES } from '../catalogue/measures';
import type { PointCode } from '../catalogue/catalogue';
import { CAR, MINIBUS } from '../tests/builders';
import { USUAL_HOUSE_RULES, type HouseRules } from '../house/houseRules';
import type { Vehicle, Place } from '../vehicle/vehicle';
import { BASELINE } from './baseline';
import type { AppliesTo, LimitRow, LimitSheet } from './limitSheet';
import { rowsFor, valueThresholds, type LimitScope } from './rowsFor';

const JUNE = '2026-06-01T08:00:00Z';
const JANUARY = '2026-01-10T08:00:00Z';

interface Asked {
  readonly vehicle?: Vehicle;
  readonly place?: Place;
  readonly point?: PointCode;
  readonly at?: string;
  readonly house?: Partial<HouseRules>;
}

function holds(row: Pick<LimitRow, 'applies'> & Partial<LimitRow>, asked: Asked = {}): boolean {
  const { vehicle = CAR, place = '1L', point = 'tyre.tread', at = JUNE, house = {} } = asked;
  const edge = { grade: 'fail', bad: 'below', value: 1, inclusive: false, basis: 'house', source: 's' } as const;
  const sheet: LimitSheet = { ...BASELINE, rows: [{ measure: 'tread', kind: 'value', thresholds: [edge], ...row }] };
  const scope: LimitScope = { vehicle, house: { ...USUAL_HOUSE_RULES, ...house }, at };
  return rowsFor(sheet, 'tread', point, place, scope).length === 1;
}

const winter: Vehicle = { ...CAR, makeUp: { ...CAR.makeUp, winterTyres: true } };
const fluid = (brakeFluid: 'DOT 3' | 'DOT 4' | null): Vehicle => ({ ...CAR, spec: { ...CAR.spec, brakeFluid } });
const smart: Vehicle = { ...CAR, spec: { ...CAR.spec, smartCharging: true } };
const lithium: Vehicle = { ...CAR, spec: { ...CAR.spec, battery: { type: 'lithium', ratedA: null, standard: null } } };

describe('a row holds for what it says and for nothing else', () => {
  test.each<[string, AppliesTo, Asked, Asked]>([
    ['class', { classes: ['car', 'bus'] }, {}, { vehicle: MINIBUS }],
    ['point', { points: ['tyre.tread'] }, {}, { point: 'walk.spare', place: '' }],
    ['front axle', { axles: 'front' }, { place: '1R' }, { place: '2R' }],
    ['rear axle', { axles: 'rear' }, { place: '2R' }, { place: '1R' }],
    ['dual wheels', { wheels: 'dual' }, { vehicle: MINIBUS, place: '2Lo' }, { vehicle: MINIBUS, place: '1L' }],
    ['single wheels', { wheels: 'single' }, { place: '2L' }, { vehicle: MINIBUS, place: '2Lo' }],
    ['season', { season: 'winter' }, { vehicle: winter, at: JANUARY }, { vehicle: winter, at: JUNE }],
    ['season, other tyres', { season: 'winter' }, { vehicle: winter, at: JANUARY }, { at: JANUARY }],
    [
      'season, other months',
      { season: 'winter' },
      { vehicle: winter, at: JUNE, house: { winterMonths: [6] } },
      { vehicle: winter, at: JANUARY, house: { winterMonths: [6] } },
    ],
    ['brake fluid', { brakeFluid: 'DOT 4' }, { vehicle: fluid('DOT 4') }, { vehicle: fluid('DOT 3') }],
    ['brake fluid not known', { brakeFluid: 'DOT 4' }, { vehicle: fluid('DOT 4') }, { vehicle: fluid(null) }],
    ['smart charging', { charging: 'smart' }, { vehicle: smart }, {}],
    ['plain charging', { charging: 'plain' }, {}, { vehicle: smart }],
    ['battery', { batteries: ['flooded', 'agm'] }, {}, { vehicle: lithium }],
    ['two at once', { classes: ['car'], axles: 'rear' }, { place: '2L' }, { place: '1L' }],
  ])('%s', (_, applies, where, elsewhere) => {
    expect([holds({ applies }, where), holds({ applies }, elsewhere)]).toEqual([true, false]);
  });

  test('of everything when it says nothing', () => {
    const everywhere: Asked[] = [{}, { vehicle: MINIBUS, place: '2Lo' }, { place: '' }, { vehicle: lithium }];
    for (const asked of everywhere) {
      expect(holds({ applies: {} }, asked)).toBe(true);
    }
  });

  test('shares of new only where the house tells lining so; front against rear only on permanent four-wheel drive', () => {
    const share = { applies: {}, kind: 'share-of-new' } as const;
    expect([holds(share), holds(share, { house: { liningAs: 'percent' } })]).toEqual([false, true]);
    const four: Vehicle = { ...CAR, makeUp: { ...CAR.makeUp, drive: 'four-permanent' } };
    const axles = { applies: {}, kind: 'front-rear' } as const;
    expect([holds(axles), holds(axles, { vehicle: four })]).toEqual([false, true]);
  });
});

describe('the baseline on every vehicle', () => {
  const scopes: LimitScope[] = [CAR, MINIBUS, winter, smart, lithium].flatMap((vehicle) =>
    [JUNE, JANUARY].map((at) => ({ vehicle, at, house: USUAL_HOUSE_RULES })),
  );
  test('value limits lie where their gauge can read, advice before failing', () => {
    const points: readonly [PointCode, Place][] = [
      ['tyre.tread', '1L'],
      ['pad.outer', '1L'],
      ['shoe', '2L'],
      ['brake.fluid.water', ''],
      ['coolant.strength', ''],
      ['oil.level', ''],
      ['cabin.oillamp', ''],
    ];
    let seen = 0;
    for (const scope of scopes) {
      for (const measure of MEASURE_CODES) {
        for (const [point, place] of points) {
          for (const side of ['below', 'above'] as const) {
            const edges = valueThresholds(BASELINE, measure, point, place, scope).filter(({ bad }) => bad === side);
            seen += edges.length;
            for (const { value } of edges)
              expect(value >= MEASURES[measure].least && value <= MEASURES[measure].most).toBe(true);
            const fails = edges.filter(({ grade }) => grade === 'fail').map(({ value }) => value);
            for (const { value } of edges.filter(({ grade }) => grade === 'advisory'))
              for (const fail of fails) expect(side === 'below' ? value >= fail : value <= fail).toBe(true);
          }
        }
      }
    }
    expect(seen).toBeGreaterThan(100);
  });
});
