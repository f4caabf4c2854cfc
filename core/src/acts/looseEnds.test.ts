import { USUAL_HOUSE_RULES } from '../house/houseRules';
import { CAR } from '../tests/builders';
import { BLANK_SPEC, PLAIN_FLUID, PLAIN_TORQUE, type SpecSheet } from '../vehicle/specSheet';
import type { Place } from '../vehicle/vehicle';
import { NO_PROOF, type Act, type ActContent, type EndProof } from './act';
import { ENDS_BY_STATION, END_KINDS, hasEnd } from './endKinds';
import { fillTargetL, openingProblem, proofAsked, proofDoubts, proofProblems } from './looseEnds';

const START = Date.parse('2026-06-01T08:00:00.000Z');
let made = 0;
const act = (minute: number, content: ActContent): Act => ({
  id: `act-${String((made += 1)).padStart(6, '0')}`,
  inspectionId: 'visit',
  at: new Date(START + minute * 60_000).toISOString(),
  ...content,
});
const opened = (end: Extract<ActContent, { kind: 'open' }>['end']) =>
  act(0, { kind: 'open', end, place: '', fasteners: null }) as Extract<Act, { kind: 'open' }>;
const proof = (change: Partial<EndProof>): EndProof => ({ ...NO_PROOF, ...change });
const spec: SpecSheet = { ...BLANK_SPEC, fluids: [{ ...PLAIN_FLUID, fluid: 'engine-oil', capacityL: 4.5 }] };

describe('what a closing asks on this vehicle', () => {
  const housing = { ...PLAIN_TORQUE, fastener: 'filter-housing', newtonMetres: 25 } as const;
  const drain = { ...PLAIN_TORQUE, fastener: 'drain-plug', newtonMetres: 4, angleDeg: 180, renew: true } as const;
  const at = (torques: SpecSheet['torques'], filterTightness: 'half-turn' | 'torque') => ({
    spec: { ...spec, torques },
    house: { ...USUAL_HOUSE_RULES, filterTightness },
  });
  test.each([
    ['by hand, whatever the sheet says', [housing], 'half-turn', ['oldSealSeen']],
    ['to the torque of the sheet', [housing], 'torque', ['oldSealSeen', 'torqueNm']],
    ['to the torque of a sheet that has none', [], 'torque', ['oldSealSeen']],
  ] as const)('a filter %s', (_, torques, school, fields) => {
    expect(proofAsked('oil-filter', at(torques, school))).toEqual(fields);
  });
  test('a torque with an angle and new bolts asks for both; an old bolt is doubted once, pieces on the magnet too', () => {
    const context = at([drain], 'half-turn');
    const plug = opened('drain-plug');
    expect(proofAsked('drain-plug', context)).toEqual(['torqueNm', 'washer', 'angleDone', 'renewed']);
    const told = proof({ torqueNm: 4, washer: 'new', angleDone: true, renewed: false, debris: 'pieces' });
    expect(proofProblems(plug, told, context)).toEqual([]);
    expect(proofProblems(plug, { ...told, angleDone: false }, context)).toMatchObject([{ field: 'angleDone' }]);
    expect(proofDoubts(plug, told, context).map(({ code }) => code)).toEqual(['not-renewed', 'pieces-found']);
    expect(proofDoubts(plug, { ...told, kept: ['not-renewed', 'pieces-found'] }, context)).toEqual([]);
  });
});

describe('the order of opening', () => {
  const open = (end: (typeof END_KINDS)[number], place: Place = '') =>
    act(1, { kind: 'open', end, place, fasteners: null });
  test('nothing is drained before its fill plug came loose, on that axle', () => {
    expect(openingProblem([], 'axle-plug', '2')).toBe('fill-plug-first');
    expect(openingProblem([open('axle-fill-plug', '1')], 'axle-plug', '2')).toBe('fill-plug-first');
    expect(openingProblem([open('axle-fill-plug', '2')], 'axle-plug', '2')).toBeNull();
    expect(openingProblem([], 'gearbox-plug', '')).toBe('fill-plug-first');
    expect(openingProblem([], 'drain-plug', '')).toBeNull();
  });
  test('one side of a brake at a time: the other shows how it goes together', () => {
    const left = open('brake', '1L');
    expect(openingProblem([left], 'brake', '1R')).toBe('other-side-apart');
    expect(openingProblem([left], 'brake', '2R')).toBeNull();
    const together = act(2, { kind: 'close', opens: left.id, proof: proof({ seenTo: true }) });
    expect(openingProblem([left, together], 'brake', '1R')).toBeNull();
  });
  test('every kind is offered at one station, and only where the vehicle has it', () => {
    expect(Object.values(ENDS_BY_STATION).flat().toSorted()).toEqual([...END_KINDS].toSorted());
    const electric = { ...CAR, makeUp: { ...CAR.makeUp, power: 'electric' as const } };
    expect(END_KINDS.filter((end) => hasEnd(end, CAR) && !hasEnd(end, electric))).toEqual([
      'filler-cap',
      'oil-stick',
      'drain-plug',
      'oil-filter',
      'oil-fill',
      'fuel-filter',
    ]);
  });
});

test('oil is filled to where the house wants it, never under what an engine is started with', () => {
  const marked = { ...spec, stickSpanL: 1 };
  const to = (oilTarget: 'top' | 'middle', sheet: SpecSheet) => fillTargetL(sheet, { ...USUAL_HOUSE_RULES, oilTarget });
  expect([to('top', marked), to('middle', marked), to('middle', spec)]).toEqual([4.5, 4, 4.5]);
  expect(to('middle', { ...marked, stickSpanL: 4 })).toBeCloseTo(3.6, 9);
  expect(to('middle', BLANK_SPEC)).toBeNull();
});
