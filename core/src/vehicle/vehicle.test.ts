import { CAR, MINIBUS } from '../tests/builders';
import { hasFits, type Fit } from './fits';
import { USUAL_MAKE_UP, type MakeUp } from './makeUp';
import { PLAIN_FLUID, PLAIN_TORQUE, BLANK_SPEC, capacityL, torqueOf } from './specSheet';
import { PLAIN_AXLE, axleAt, oppositePlace, tyresAtHub, type Vehicle } from './vehicle';

const made = (makeUp: Partial<MakeUp>, change: Partial<Vehicle> = {}): Vehicle => ({
  ...CAR,
  makeUp: { ...USUAL_MAKE_UP, ...makeUp },
  ...change,
});
const DIESEL = made({});
const ELECTRIC = made({ power: 'electric', steering: 'electric', gearbox: 'single-speed', timingBelt: true });
const HYBRID = made({ power: 'hybrid', gearbox: 'automatic' });
const FOUR = made({ drive: 'four-selectable', urea: true, towbar: true, spareWheel: false });
const TRACTOR = made({}, { class: 'plant', meterUnit: 'h' });

describe('what a vehicle must have', () => {
  test.each<[Fit, readonly Vehicle[], readonly Vehicle[]]>([
    ['engine', [DIESEL, HYBRID], [ELECTRIC]],
    ['high-voltage', [ELECTRIC, HYBRID], [DIESEL]],
    ['diesel', [DIESEL], [ELECTRIC, HYBRID]],
    ['spark-plugs', [HYBRID, made({ power: 'petrol' })], [DIESEL, ELECTRIC]],
    ['hydraulic-steering', [DIESEL], [ELECTRIC]],
    ['clutch', [DIESEL], [HYBRID, ELECTRIC]],
    ['hydraulic-clutch', [DIESEL], [made({ hydraulicClutch: false }), HYBRID]],
    ['automatic', [HYBRID], [DIESEL]],
    ['spare-wheel', [DIESEL], [FOUR]],
    ['passenger-lift', [MINIBUS], [DIESEL]],
    ['towbar', [FOUR], [DIESEL]],
    ['urea', [FOUR], [DIESEL]],
    // A belt that is ticked by mistake on an electric vehicle is no belt.
    ['timing-belt', [DIESEL], [ELECTRIC, made({ timingBelt: false })]],
    ['four-wheel-drive', [FOUR], [DIESEL]],
    ['front-axle-drive', [FOUR], [MINIBUS]],
    ['prop-shaft', [FOUR, MINIBUS], [DIESEL]],
    ['hydraulic-brakes', [DIESEL, ELECTRIC], [TRACTOR]],
    ['road', [DIESEL, MINIBUS], [TRACTOR]],
    ['plant', [TRACTOR], [DIESEL]],
  ])('%s', (fit, have, lack) => {
    for (const vehicle of have) expect(hasFits([fit], vehicle, undefined)).toBe(true);
    for (const vehicle of lack) expect(hasFits([fit], vehicle, undefined)).toBe(false);
  });

  test.each<[Fit, Vehicle['axles'][number], Vehicle['axles'][number]]>([
    ['disc', PLAIN_AXLE, { ...PLAIN_AXLE, brake: 'drum' }],
    ['drum', { ...PLAIN_AXLE, brake: 'drum' }, PLAIN_AXLE],
    ['steered', { ...PLAIN_AXLE, steered: true }, PLAIN_AXLE],
    ['driven', { ...PLAIN_AXLE, driven: true }, PLAIN_AXLE],
  ])('%s is asked of the axle, and no axle has it', (fit, has, lacks) => {
    expect([hasFits([fit], CAR, has), hasFits([fit], CAR, lacks), hasFits([fit], CAR, undefined)]).toEqual([
      true,
      false,
      false,
    ]);
  });

  test('all of them, or none at all', () => {
    expect(hasFits(['engine', 'towbar'], DIESEL, undefined)).toBe(false);
    expect(hasFits(['engine', 'towbar'], FOUR, undefined)).toBe(true);
    expect(hasFits([], ELECTRIC, undefined)).toBe(true);
  });
});

test('places: the axle they belong to, the other side, the tyres at a hub', () => {
  expect([axleAt(MINIBUS.axles, '2Lo')?.dual, axleAt(MINIBUS.axles, '2')?.dual, axleAt(CAR.axles, '3L')]).toEqual([
    true,
    true,
    undefined,
  ]);
  expect((['1L', '2Ro', '2'] as const).map(oppositePlace)).toEqual(['1R', '2Lo', '2']);
  expect([tyresAtHub(MINIBUS.axles, '2R'), tyresAtHub(MINIBUS.axles, '1R')]).toEqual([['2Ro', '2Ri'], ['1R']]);
});

test('a spec sheet tells what it holds and nothing else', () => {
  const spec = {
    ...BLANK_SPEC,
    fluids: [
      { ...PLAIN_FLUID, fluid: 'coolant', grade: 'green', capacityL: 7.5 },
      { ...PLAIN_FLUID, fluid: 'washer' },
    ],
    torques: [{ ...PLAIN_TORQUE, fastener: 'drain-plug', newtonMetres: 30, socket: '13' }],
  } as const;
  expect([capacityL(spec, 'coolant'), capacityL(spec, 'washer'), capacityL(spec, 'urea')]).toEqual([7.5, null, null]);
  expect([torqueOf(spec, 'drain-plug')?.newtonMetres, torqueOf(spec, 'wheel-bolts')]).toEqual([30, null]);
});
