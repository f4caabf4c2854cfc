/** @jest-environment node */
import { CAR, MINIBUS, rulesWith } from '@weskopos/core/tests/builders';
import {
  BUILT_IN_RULEBOOK,
  PLAIN_FLUID,
  PLAIN_TORQUE,
  USUAL_HOUSE_RULES,
  cataloguePoint,
  isOwnCode,
  type OwnPoints,
  type LimitSheet,
  type Vehicle,
} from '@weskopos/core';
import { speakByHouse } from '@weskopos/words/show';
import { FLUID_SUMS } from './bench/fluidSums';
import { OTHER_SUMS } from './bench/otherSums';
import { answerOf, type Sum } from './bench/sum';
import { TYRE_SUMS } from './bench/tyreSums';
import { nextRulebook } from './rules/nextRulebook';
import { codeFor, movePoint, stationRows, togglePoint } from './rules/templatePoints';
import { blankVehicle, formOf, vehicleFormSchema } from './vehicle/vehicleForm';

const SUMS: readonly Sum[] = [...TYRE_SUMS, ...FLUID_SUMS, ...OTHER_SUMS];
const usual = (sum: Sum, change: Record<string, string> = {}) => ({
  ...Object.fromEntries(sum.fields.map(({ name, usual: stands }) => [name, stands])),
  ...change,
});
const linesOf = (code: string, change: Record<string, string> = {}) => {
  const sum = SUMS.find((one) => one.code === code);
  const answer = sum && answerOf(sum, usual(sum, change));
  return answer?.status === 'lines' ? answer.lines.join('\n') : JSON.stringify(answer);
};

describe('the bench', () => {
  test('every sum answers to what stands there at first, and tells its formula and source', () => {
    expect(SUMS.length).toBe(16);
    expect(new Set(SUMS.map(({ code }) => code)).size).toBe(SUMS.length);
    for (const sum of SUMS) {
      expect(answerOf(sum, usual(sum)).status).toBe('lines');
      expect([sum.formula, sum.source].every((text) => text.length > 10)).toBe(true);
    }
  });

  test('a wanted figure that is missing, unreadable or out of range is told at its field, in every sum', () => {
    for (const sum of SUMS) {
      const field = sum.fields.find((one) => !('options' in one) && !one.optional);
      if (!field || 'options' in field) continue;
      for (const typed of ['', 'far', String(field.most + 1e7)]) {
        const answer = answerOf(sum, usual(sum, { [field.name]: typed }));
        expect(answer.status === 'problems' && answer.problems[field.name]).toContain(`${field.least} to`);
      }
    }
  });

  test.each([
    ['pressure', {}, '244 kPa at 20 °C'],
    ['pressure', { kpa: '32psi' }, 'kPa at 20 °C'],
    ['oil-used', {}, '0.290 L per 1,000 km: pass'],
    ['glycol', {}, 'freezes at −16.0 °C'.replace('−', '-')],
    ['glycol', { share: '70' }, 'it freezes earlier again'],
    ['raise', {}, 'Drain 1.99 L'],
    ['raise', { refill: '40' }, 'too weak'],
    ['boiling', { grade: 'DOT 4' }, 'about 189 °C'],
    ['boiling', { water: '5' }, 'change the fluid'],
    ['stick', {}, 'Add 0.96 L in all'],
    ['stick', { level: '1.2' }, 'Take out'],
    ['torque', { torque: '85 lb ft', studs: '5' }, '115.2 N·m = 85.0 lb·ft'],
    ['torque', { studs: '5' }, '1, 3, 5, 2, 4'],
    ['battery', {}, 'health 75 %'],
    ['battery', { ratedBy: 'SAE' }, 'not compared'],
    ['fuel', {}, '7.00 L/100 km'],
    ['fuel', { km2: '' }, 'Two full fills'],
    ['season', {}, 'Offside rear: loses by itself'],
    ['rotation', {}, 'Leave them'],
    ['part-left', {}, '45 % of what may be worn is left'],
    ['due', {}, 'By distance'],
    ['filter', {}, 'It fits.'],
    ['filter', { pitch: '1.25' }, 'Does not fit: pitch.'],
    ['drips', {}, '12 mL an hour'],
    ['units', { value: '35', unit: 'psi' }, '241.317 kPa'],
  ])('%s %j', (code, change, expected) => expect(linesOf(code, change as Record<string, string>)).toContain(expected));

  test('what the core refuses is told, not thrown', () => {
    expect(linesOf('part-left', { limit: '12' })).toContain('refused');
  });
});

describe('a vehicle as it is typed', () => {
  const full: Vehicle = {
    ...MINIBUS,
    spec: {
      ...MINIBUS.spec,
      battery: { type: 'agm', ratedA: 760, standard: 'EN' },
      brakeFluid: 'DOT 4',
      studs: 6,
      fluids: [{ ...PLAIN_FLUID, fluid: 'coolant', grade: 'green', capacityL: 7.5 }],
      torques: [{ ...PLAIN_TORQUE, fastener: 'wheel-bolts', newtonMetres: 180, socket: '19' }],
      intervals: [{ job: { code: 'engine-oil', name: 'Oil' }, km: 15_000, months: 12, hours: null }],
      parts: [{ part: 'Oil filter', number: 'TH 1' }],
    },
  };
  afterEach(() => speakByHouse(USUAL_HOUSE_RULES));

  test.each([
    ['a car', CAR],
    ['one with a full sheet', full],
  ])('%s goes into the form and out again as it was', (_, vehicle) => {
    expect(vehicleFormSchema.parse(formOf(vehicle))).toEqual(vehicle);
  });

  test('in the workshop’s own units, in either when one is written', () => {
    speakByHouse({ ...USUAL_HOUSE_RULES, units: { ...USUAL_HOUSE_RULES.units, pressure: 'psi' } });
    const form = formOf(CAR);
    expect(form.axles[0]?.placardKpa).toBe('33.36');
    const typed = { ...form, axles: form.axles.map((axle) => ({ ...axle, placardKpa: '2.4 bar' })) };
    expect(vehicleFormSchema.parse(typed).axles[0]?.placardKpa).toBe(240);
  });

  test.each([
    [
      'a capacity of zero',
      { spec: { ...formOf(full).spec, fluids: [{ ...PLAIN_FLUID, fluid: 'coolant', grade: '', capacityL: '0' }] } },
      'spec.fluids.0.capacityL',
    ],
    [
      'a torque in words',
      {
        spec: {
          ...formOf(full).spec,
          torques: [{ ...PLAIN_TORQUE, fastener: 'drain-plug', newtonMetres: 'tight', socket: '' }],
        },
      },
      'spec.torques.0.newtonMetres',
    ],
    ['no fleet code', { fleetCode: ' ' }, 'fleetCode'],
    ['year 20', { year: '20' }, 'year'],
    [
      'a rating without its standard',
      { spec: { ...formOf(full).spec, battery: { type: 'agm', ratedA: '700', standard: '' } } },
      'spec.battery.standard',
    ],
  ])('%s is refused at its field', (_, change, path) => {
    const parsed = vehicleFormSchema.safeParse({ ...formOf(full), ...change });
    expect(parsed.success ? [] : parsed.error.issues.map((issue) => issue.path.join('.'))).toContain(path);
  });

  test('a blank one only wants its fleet code', () => {
    const blank = formOf(blankVehicle('00000000-0000-4000-8000-000000000007'));
    expect(vehicleFormSchema.safeParse(blank).success).toBe(false);
    expect(vehicleFormSchema.safeParse({ ...blank, fleetCode: 'FH 40' }).success).toBe(true);
  });
});

test('an edited sheet gets its own next version and day, the others stay', () => {
  const [baseline, light] = BUILT_IN_RULEBOOK.sheets as [LimitSheet, LimitSheet];
  const newest = { ...BUILT_IN_RULEBOOK, version: 4 };
  const draft = {
    ...newest,
    sheets: [{ ...baseline, rows: baseline.rows.slice(1) }, light, { ...light, code: 'ours' }],
  };
  const next = nextRulebook(draft, newest, '2026-11-23');
  expect([next.version, next.sheets.map(({ version }) => version)]).toEqual([5, [baseline.version + 1, 1, 1]]);
  expect(next.sheets[0]?.validFrom).toBe('2026-11-23');
  expect(next.sheets[1]).toBe(light);
});

describe('a template being edited', () => {
  const { template } = rulesWith();
  test('a point goes out and comes back at the end of its station', () => {
    const without = togglePoint(template, 'oil.level');
    expect(without.points).toHaveLength(template.points.length - 1);
    const back = togglePoint(without, 'oil.level');
    const bonnet = back.points.filter((code) => cataloguePoint(code).station === 'bonnet');
    expect(bonnet.at(-1)).toBe('oil.level');
    expect(back.points).toHaveLength(template.points.length);
  });
  test('moves within its station and stops at its ends', () => {
    const moved = movePoint(template, 'cold.coolant', -1);
    expect(moved.points.slice(0, 2)).toEqual(['cold.coolant', 'cold.oil']);
    expect(movePoint(moved, 'cold.coolant', -1)).toBe(moved);
    expect(stationRows(togglePoint(template, 'cold.oil'), 'cold', {}).at(-1)).toEqual({ code: 'cold.oil', on: false });
  });
  test('of the workshop’s own points those it has named are there to be ticked', () => {
    const codes = (named: OwnPoints) => stationRows(template, 'under', named).map(({ code }) => code);
    expect(codes({}).filter(isOwnCode)).toEqual([]);
    expect(codes({ 'own.under.2': { name: 'Snow plate bolts', look: '' } }).filter(isOwnCode)).toEqual(['own.under.2']);
  });
  test.each([
    ['Quarry, ours', [], 'quarry-ours'],
    ['Quarry', ['quarry', 'quarry-2'], 'quarry-3'],
    ['§§', [], 'template'],
  ])('“%s” is kept as a code of its own', (name, taken, code) => expect(codeFor(name, taken)).toBe(code));
});
