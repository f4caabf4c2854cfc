import { CAR, MINIBUS, findingOf, rulesWith } from '../tests/builders';
import { USUAL_MAKE_UP } from '../vehicle/makeUp';
import { hubPlaces, otherAxlePlace, type Vehicle, type Hub } from '../vehicle/vehicle';
import { restOfStop, visitPoints, walkSteps, type WalkPlan } from '../inspection/walkSteps';
import {
  CATALOGUE,
  POINT_CODES,
  cataloguePoint,
  isPointCode,
  mainSlot,
  pointKey,
  soundByEye,
  wordsOffered,
} from './catalogue';
import { COMMON_FLUIDS, LEAK_PLACES, likelyFluids } from './leaks';
import { MEASURES, namedSteps } from './measures';
import { CAUTIONS, STATIONS, SYSTEMS } from './points/point';
import { BUILT_IN_TEMPLATES, templateBy } from './templates';
import { whichFluid, type FluidLook } from './whichFluid';
import { VOCABULARIES } from './words';

const planOf = (vehicle: Vehicle, template = 'full', change: Partial<WalkPlan> = {}): WalkPlan => ({
  vehicle,
  template: rulesWith({}, template).template,
  house: { beginWith: 'cold' },
  focus: null,
  ...change,
});
const codesOf = (vehicle: Vehicle, template = 'full') =>
  new Set(visitPoints(planOf(vehicle, template)).map(({ point }) => point));
const placesOf = (code: string, vehicle: Vehicle) =>
  visitPoints(planOf(vehicle))
    .filter(({ point }) => point === code)
    .map(({ place }) => place);

describe('the catalogue', () => {
  test('codes are their own names, once each, in every station and system', () => {
    expect(CATALOGUE.length).toBeGreaterThan(140);
    expect(new Set(POINT_CODES).size).toBe(CATALOGUE.length);
    expect(new Set(CATALOGUE.map(({ station }) => station)).size).toBe(STATIONS.length);
    expect(new Set(CATALOGUE.map(({ system }) => system)).size).toBe(SYSTEMS.length);
    expect(new Set(CATALOGUE.flatMap(({ cautions }) => cautions)).size).toBe(CAUTIONS.length);
    expect([isPointCode('tyre.tread'), isPointCode('tyre.nothing')]).toEqual([true, false]);
    expect(() => cataloguePoint('tyre.nothing' as never)).toThrow(RangeError);
    expect([pointKey('cold.oil', ''), pointKey('pad.inner', '2R')]).toEqual(['cold.oil', 'pad.inner@2R']);
  });

  test('every vocabulary, measure and leak place is asked for somewhere', () => {
    const vocabularies = new Set(CATALOGUE.map(({ vocabulary }) => vocabulary));
    for (const name of Object.keys(VOCABULARIES)) expect(vocabularies).toContain(name);
    const measures = new Set(CATALOGUE.flatMap((point) => point.measures.map(({ measure }) => measure)));
    for (const code of Object.keys(MEASURES)) expect(measures).toContain(code);
    const places = new Set(CATALOGUE.flatMap(({ leakPlaces }) => leakPlaces));
    expect(LEAK_PLACES.filter((place) => !places.has(place))).toEqual([]);
  });

  test('outside first', () => {
    expect(mainSlot(cataloguePoint('tyre.tread'))?.spots).toEqual(['outer', 'centre', 'inner']);
    const brake = CATALOGUE.filter(({ step }) => step === 'brake').map(({ code }) => code);
    expect(brake).toEqual(['pad.outer', 'disc', 'pad.inner']);
  });

  test.each([
    ['belt.aux', true],
    ['hose.coolant.top', true],
    ['close.sticker', true],
    ['tyre.tread', false],
    ['brake.fluid.water', false],
    ['leak.engine', false],
    ['walk.lamps', false],
    ['cabin.codes', false],
    ['belt.timing.age', false],
    ['cabin.indicator', false],
    ['close.indicator', false],
    ['disc', true],
  ] as const)('%s can be said to be sound by eye: %s', (code, byEye) => {
    expect(soundByEye(cataloguePoint(code))).toBe(byEye);
  });
});

test.each([
  ['wiring.chafe', ['missing', 'loose', 'damaged', 'chafed', 'not-refitted']],
  ['walk.fuelcap', ['missing', 'loose', 'damaged', 'not-refitted']],
  ['cabin.horn', ['missing', 'loose', 'damaged']],
  ['close.sticker', []],
] as const)('%s is told with words that make sense there', (code, offered) => {
  expect(wordsOffered(cataloguePoint(code))).toEqual(offered);
});

test('a word is left out only where the vocabulary has it', () => {
  for (const { code, vocabulary, leavesOut } of CATALOGUE)
    for (const word of leavesOut)
      expect([code, vocabulary && VOCABULARIES[vocabulary]]).toEqual([code, expect.arrayContaining([word])]);
});

test.each([
  ['tyre.tread', 'tread', ['outer', 'centre', 'inner']],
  ['coolant.strength', 'glycol', ['whole']],
  ['wheel.rock', 'play', ['12-6', '3-9']],
  ['battery.rest', 'rest-voltage', ['whole']],
  ['disc', undefined, undefined],
  ['belt.aux', undefined, undefined],
] as const)('what %s is mainly judged by', (code, measure, spots) => {
  const slot = mainSlot(cataloguePoint(code));
  expect([slot?.measure, slot?.spots]).toEqual([measure, spots]);
});

test('a named scale tells its steps, a figure none', () => {
  expect([namedSteps('play'), namedSteps('water-band'), namedSteps('tread'), namedSteps('seconds')]).toEqual([
    ['none', 'just-felt', 'clear'],
    ['low', 'middle', 'high'],
    null,
    null,
  ]);
});

describe('templates', () => {
  test('hold only points of the catalogue, each once, and have their own names', () => {
    expect(BUILT_IN_TEMPLATES.length).toBeGreaterThanOrEqual(11);
    for (const { points } of BUILT_IN_TEMPLATES) {
      expect(points.length).toBeGreaterThan(0);
      expect(new Set(points).size).toBe(points.length);
      for (const code of points) expect(isPointCode(code)).toBe(true);
    }
    expect(new Set(BUILT_IN_TEMPLATES.map(({ code }) => code)).size).toBe(BUILT_IN_TEMPLATES.length);
  });

  test('an interim of a two-axle car is about a hundred points with about forty-five figures', () => {
    const points = visitPoints(planOf(CAR, 'interim'));
    const figures = points.flatMap(({ point }) =>
      cataloguePoint(point)
        .measures.filter(({ need, measure }) => need !== 'extra' && !namedSteps(measure))
        .flatMap(({ spots }) => spots),
    );
    expect(Math.abs(points.length - 100)).toBeLessThan(10);
    expect(Math.abs(figures.length - 45)).toBeLessThan(10);
  });

  test('a dropped template still reads as the built-in one, an unknown one as full', () => {
    expect(templateBy([], 'interim').code).toBe('interim');
    expect(templateBy([], 'of another workshop').code).toBe('full');
  });
});

describe('a template drops what the vehicle does not have', () => {
  const electric: Vehicle = {
    ...CAR,
    makeUp: { ...USUAL_MAKE_UP, power: 'electric', steering: 'electric', gearbox: 'single-speed', spareWheel: false },
  };
  test.each([
    ['oil.level', CAR, electric],
    ['belt.aux', CAR, electric],
    ['exhaust', CAR, electric],
    ['leak.fuel', CAR, electric],
    ['steer.fluid.level', CAR, electric],
    ['walk.spare', CAR, electric],
    ['clutch.fluid', CAR, electric],
    ['belt.timing.age', CAR, electric],
    ['hv.cables', electric, CAR],
    ['shaft.prop', MINIBUS, CAR],
    ['leak.axle.rear', MINIBUS, CAR],
  ] as const)('%s', (code, has, hasNot) => {
    expect([codesOf(has).has(code), codesOf(hasNot).has(code)]).toEqual([true, false]);
  });

  test('lift and tie-downs come with the minibus template, and only on a vehicle with a lift', () => {
    expect([codesOf(MINIBUS, 'minibus').has('walk.lift'), codesOf(CAR, 'minibus').has('walk.lift')]).toEqual([
      true,
      false,
    ]);
    expect(codesOf(MINIBUS, 'full').has('walk.lift')).toBe(false);
  });

  test('dual wheels have two tyres, one brake; drums have shoes instead of pads; only driven steered hubs have joints', () => {
    const drums: Vehicle = { ...CAR, axles: [CAR.axles[0]!, { ...CAR.axles[1]!, brake: 'drum' }] };
    expect(placesOf('tyre.tread', MINIBUS)).toEqual(['1L', '1R', '2Ro', '2Ri', '2Lo', '2Li']);
    expect(placesOf('pad.inner', MINIBUS)).toEqual(['1L', '1R', '2R', '2L']);
    expect([placesOf('pad.inner', drums), placesOf('shoe', drums)]).toEqual([
      ['1L', '1R'],
      ['2R', '2L'],
    ]);
    expect([placesOf('boot.outer', CAR), placesOf('rod.end', CAR), placesOf('boot.outer', MINIBUS)]).toEqual([
      ['1L', '1R'],
      ['1L', '1R'],
      [],
    ]);
    expect(placesOf('tyre.match', CAR)).toEqual(['1', '2']);
  });

  test('machines that count hours have their own templates', () => {
    const tractor: Vehicle = { ...CAR, class: 'plant', meterUnit: 'h' };
    expect(codesOf(tractor, 'plant-daily').has('plant.hydraulic')).toBe(true);
    expect(codesOf(tractor, 'plant-weekly').size).toBeGreaterThan(codesOf(tractor, 'plant-daily').size);
    expect(codesOf(tractor, 'plant-hours').size).toBeGreaterThan(codesOf(tractor, 'plant-weekly').size);
    expect(codesOf(CAR, 'plant-daily').has('plant.hydraulic')).toBe(false);
  });
});

describe('the walk', () => {
  test('goes round the wheels always in the same direction', () => {
    expect(hubPlaces(CAR.axles)).toEqual(['1L', '1R', '2R', '2L']);
    expect(hubPlaces([...CAR.axles, ...CAR.axles.slice(0, 1)])).toEqual(['1L', '1R', '2R', '3R', '3L', '2L']);
  });

  test('repeats the same sequence at every corner', () => {
    const at = (hub: Hub) =>
      walkSteps(planOf(CAR, 'interim'))
        .filter(({ stop }) => stop === hub)
        .map(({ id }) => id.split('@')[0]);
    expect(at('1R')).toEqual(at('1L'));
    expect(at('2L')).toEqual(at('2R'));
    expect(at('1L').slice(0, 4)).toEqual(['tyre.tread', 'tyre.wall', 'tyre.age', 'tyre.pressure']);
  });

  test('the cold gate comes first and closing last, whatever the house begins with', () => {
    for (const beginWith of ['cold', 'under', 'cabin'] as const) {
      const stations = walkSteps(planOf(CAR, 'full', { house: { beginWith } })).map(({ station }) => station);
      expect([stations[0], stations.at(-1)]).toEqual(['cold', 'closing']);
    }
    const under = walkSteps(planOf(CAR, 'full', { house: { beginWith: 'under' } })).map(({ station }) => station);
    expect(under.indexOf('under')).toBeLessThan(under.indexOf('bonnet'));
  });

  test('a return visit looks only at its points; step ids are unique', () => {
    const focus = ['pad.inner@1L', 'leak.engine'];
    expect(visitPoints(planOf(CAR, 'return', { focus })).map(({ point, place }) => pointKey(point, place))).toEqual(
      focus,
    );
    const ids = walkSteps(planOf(MINIBUS, 'minibus')).map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
  });

  test('the other axle’s tyre is on the same side, and not beside a dual pair', () => {
    expect([
      otherAxlePlace(CAR.axles, '1L'),
      otherAxlePlace(CAR.axles, '2R'),
      otherAxlePlace(MINIBUS.axles, '1L'),
    ]).toEqual(['2L', '1R', undefined]);
  });
});

describe('the rest of a station is sound', () => {
  const steps = walkSteps(planOf(CAR));
  const rest = (findings: ReturnType<typeof findingOf>[]) =>
    restOfStop(steps, 'bonnet', new Map(findings.map((finding) => [finding.point, finding]))).map(({ point }) => point);

  test('never holds a point that wants a measure, a leak or a count', () => {
    expect(rest([]).length).toBeGreaterThan(10);
    for (const code of rest([])) expect(soundByEye(cataloguePoint(code))).toBe(true);
    expect(rest([])).not.toContain('battery.rest');
    expect(rest([])).not.toContain('leak.bonnet');
  });

  test('leaves what was judged alone, and takes what only has a note', () => {
    const all = rest([]);
    expect(rest([findingOf('belt.aux', '', { words: ['noisy'] })])).toEqual(all.filter((code) => code !== 'belt.aux'));
    expect(rest([findingOf('belt.aux', '', { access: 'open', note: 'odd' })])).toEqual(all);
    expect(rest([findingOf('belt.aux', '', { access: 'not-reached', accessReason: 'seized' })])).not.toContain(
      'belt.aux',
    );
  });
});

describe('what is it? from its looks', () => {
  const none: FluidLook = { colour: null, feel: null, smell: null, where: null };
  test.each([
    ['sweet and green', { colour: 'green-blue', smell: 'sweet' }, 'coolant'],
    ['smells of fuel', { smell: 'fuel' }, 'fuel'],
    [
      'thick, of sulphur, at the rear axle',
      { feel: 'thick-slippery', smell: 'sulphur', where: 'rear-axle' },
      'gear-oil',
    ],
    ['red and slippery', { colour: 'red', feel: 'thin-slippery', where: 'under-cabin' }, 'transmission-fluid'],
    ['clear water under the cabin', { colour: 'clear', feel: 'watery', smell: 'none', where: 'under-cabin' }, 'water'],
    ['white crystals', { colour: 'white', feel: 'sticky-crystals' }, 'urea'],
  ] as const)('%s', (_, look, fluid) => {
    const [best] = whichFluid({ ...none, ...look });
    expect(best?.fluid).toBe(fluid);
    expect(best?.because.length).toBeGreaterThan(0);
  });

  test('nothing told is no guess', () => {
    expect(whichFluid(none)).toEqual([]);
  });
});

test('fluids come in the order they are likely: what leaked here before, what lies behind the places, the common ones', () => {
  expect(likelyFluids(['output-seal-left', 'wheel-cylinder'], [{ fluid: 'coolant' }, { fluid: 'unknown' }])).toEqual([
    'coolant',
    'gear-oil',
    'brake-fluid',
    'engine-oil',
    'fuel',
    'water',
    'unknown',
  ]);
  for (const { leakPlaces } of CATALOGUE)
    expect(likelyFluids(leakPlaces, [])).toEqual(expect.arrayContaining([...COMMON_FLUIDS]));
});
