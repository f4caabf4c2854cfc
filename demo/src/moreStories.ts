import { DRY, USUAL_MAKE_UP, type Axle, type Vehicle, type Place } from '@weskopos/core';
import { waterRead, type BrakeFluidFill } from './brakeFluid';
import { axle, front, frontAxle, spec, weep, type Renewal, type Story, type StoryVisit } from './world';

/** The rest of the fleet: three years of brief looks, a full inspection a year, parts that wore out and were renewed. */

const HANDS = ['Isla', 'Callum'] as const;

interface Plan {
  readonly code: string;
  readonly make: string;
  readonly model: string;
  readonly year: number;
  readonly class: Vehicle['class'];
  readonly use: string;
  readonly axles: readonly [Axle, Axle];
  readonly makeUp?: Partial<Vehicle['makeUp']>;
  readonly startKm: number;
  readonly kmPerVisit: number;
  /** Wear against what is usual, tyres and pads. */
  readonly wear: readonly [number, number];
  readonly visits?: number;
  readonly lastDaysAgo?: number;
  /** Changes single visits, by how many before the last. */
  readonly special?: Readonly<Record<number, Partial<StoryVisit>>>;
  readonly open?: StoryVisit;
  readonly leaksTyre?: string;
  readonly battery?: Story['battery'];
  readonly brakeFluid?: BrakeFluidFill;
  readonly glycol?: Story['glycol'];
  readonly log?: Story['log'];
  readonly fault?: Story['fault'];
}

const EVERY_DAYS = 118;
/** Bled a season before the first visit. */
const YOUNG_FILL: BrakeFluidFill = { monthsOld: 3, holds: 4.6 };

function story(plan: Plan): Story {
  const visits = plan.visits ?? 9;
  const lastDaysAgo = plan.lastDaysAgo ?? 40;
  const made = Array.from({ length: visits }, (_, n): StoryVisit => {
    const before = visits - 1 - n;
    const daysAgo = lastDaysAgo + before * EVERY_DAYS;
    return {
      daysAgo,
      km: plan.startKm + n * plan.kmPerVisit + ((n * 37) % 5) * 60,
      by: HANDS[n % 2] ?? 'Isla',
      // Cold in winter, mild in summer; the fleet's year turns like any other.
      ambientC: Math.round(9 + 8 * Math.cos(((daysAgo + 120) / 365.25) * 2 * Math.PI)),
      waterShare: waterRead(plan.brakeFluid ?? YOUNG_FILL, n * EVERY_DAYS),
      brief: before !== 0,
      ...plan.special?.[before],
    };
  });
  const [tyres, pads] = plan.wear;
  const plain: Story = {
    vehicle: {
      fleetCode: plan.code,
      plate: `FHT ${plan.code.slice(3)}0`,
      make: plan.make,
      model: plan.model,
      year: plan.year,
      class: plan.class,
      use: plan.use,
      axles: [...plan.axles],
      vin: '',
      meterUnit: 'km',
      makeUp: { ...USUAL_MAKE_UP, ...plan.makeUp },
      spec: spec({}),
    },
    template: 'interim',
    tread: (place) => ({ fresh: 6.6, fittedKm: 0, per1000: (front(place) ? 0.2 : 0.13) * tyres }),
    pad: (place, side) => ({
      fresh: 9.4,
      fittedKm: 0,
      per1000: (front(place) ? 0.24 : 0.16) * pads * (side === 'inner' ? 1.05 : 1),
    }),
    pressureKpa: (place, visit) =>
      (plan.axles[front(place) ? 0 : 1].placardKpa ?? 240) -
      (place === plan.leaksTyre ? 7 * Math.max(0, visit - 4) : 0),
    renewed: [],
    ...(plan.battery ? { battery: plan.battery } : {}),
    ...(plan.glycol ? { glycol: plan.glycol } : {}),
    ...(plan.log ? { log: plan.log } : {}),
    ...(plan.fault ? { fault: plan.fault } : {}),
    visits: plan.open ? [...made, plan.open] : made,
  };
  return { ...plain, renewed: renewals(plain) };
}

/** Where the workshop renews: at the visit that finds an axle this far down. */
const RENEW = { tyre: { from: 2.1, fresh: 8 }, pads: { from: 2, fresh: 11.8 } } as const;
/** From the visit that found it to the road again, km. */
const SOON_KM = 20;

/** What was renewed over the years, every second time written down. */
function renewals(of: Story): Renewal[] {
  const renewed: Renewal[] = [];
  const first = of.visits[0]?.km ?? 0;
  for (const part of ['tyre', 'pads'] as const)
    for (const [n, places] of [['1L', '1R'] as const, ['2L', '2R'] as const].entries()) {
      const dual = of.vehicle.axles[n]?.dual === true && part === 'tyre';
      const seats = dual ? places.flatMap((place): Place[] => [`${place}o`, `${place}i`]) : [...places];
      const truth = part === 'tyre' ? of.tread(places[0]) : of.pad(places[0], 'inner');
      let [fresh, fittedKm] = [truth.fresh, truth.fittedKm];
      for (const { km, daysAgo } of of.visits) {
        const left = fresh - (truth.per1000 * (km - first - fittedKm)) / 1000;
        if (left > RENEW[part].from || daysAgo === 0) continue;
        const at = km + SOON_KM;
        renewed.push({ part, places: seats, km: at, fresh: RENEW[part].fresh, told: (renewed.length + n) % 2 === 0 });
        [fresh, fittedKm] = [RENEW[part].fresh, at - first];
      }
    }
  return renewed;
}

const sized = (tyreSize: string) => ({ tyreSize });
const SMALL = '185/65 R15';
const VAN = '215/70 R15';
const BUS = '195/75 R16';
const car = (): readonly [Axle, Axle] => [
  frontAxle(230, { driven: true, ...sized(SMALL) }),
  axle(220, { brake: 'drum', liningNewMm: 5, ...sized(SMALL) }),
];
const van = (): readonly [Axle, Axle] => [frontAxle(300, { driven: true, ...sized(VAN) }), axle(330, sized(VAN))];
const bus = (): readonly [Axle, Axle] => [
  frontAxle(400, sized(BUS)),
  axle(350, { dual: true, driven: true, ...sized(BUS) }),
];
const today = (change: Partial<StoryVisit> & Pick<StoryVisit, 'km'>): StoryVisit => ({
  daysAgo: 0,
  by: 'Isla',
  ambientC: 6,
  halfDone: ['cold'],
  ...change,
});

export const MORE_STORIES: readonly Story[] = [
  story({
    code: 'FH 01',
    make: 'Morrick',
    model: 'Ferrier 16',
    year: 2019,
    class: 'minibus',
    use: 'day centre',
    axles: bus(),
    makeUp: { drive: 'rear', passengerLift: true },
    startKm: 51_000,
    kmPerVisit: 4200,
    wear: [1, 1],
    // Advised twice and declined twice by the keeper.
    special: {
      0: {
        words: { 'hose.coolant.bottom': ['bulged'] },
        complaint: 'Hose advised in spring, left as it was.',
        brief: false,
      },
      2: {
        words: { 'hose.coolant.bottom': ['chafed'] },
        complaint: 'Hose advised last year, left as it was.',
        brief: false,
      },
      5: { words: { 'hose.coolant.bottom': ['chafed'] }, brief: false },
    },
  }),
  story({
    code: 'FH 04',
    make: 'Osprell',
    model: 'Linnet',
    year: 2021,
    class: 'car',
    use: 'care visits',
    axles: car(),
    makeUp: { power: 'petrol', steering: 'electric' },
    startKm: 18_000,
    kmPerVisit: 5200,
    wear: [1.05, 0.9],
    open: today({
      km: 66_400,
      by: 'Callum',
      // Everything seen, nothing signed yet.
      minutesAgo: 95,
      halfDone: ['cold', 'bonnet', 'cabin', 'walk', '1L', '1R', '2R', '2L', 'under', 'closing'],
    }),
  }),
  story({
    code: 'FH 05',
    make: 'Tarnwell',
    model: 'Cray van',
    year: 2018,
    class: 'light-goods',
    use: 'meals round',
    axles: van(),
    startKm: 77_000,
    kmPerVisit: 4800,
    wear: [0.9, 1.15],
    open: today({
      km: 120_900,
      by: 'Callum',
      acts: [
        [38, { kind: 'open', end: 'filler-cap', place: '', fasteners: null }],
        [40, { kind: 'open', end: 'drain-plug', place: '', fasteners: null }],
        [44, { kind: 'wait', wait: 'drain', lengthS: 900 }],
      ],
    }),
  }),
  story({
    code: 'FH 06',
    make: 'Morrick',
    model: 'Ferrier 12',
    year: 2020,
    class: 'minibus',
    use: 'school run',
    axles: bus(),
    makeUp: { drive: 'rear', passengerLift: true },
    startKm: 33_000,
    kmPerVisit: 3900,
    wear: [1.1, 1.05],
    // Over a kerb on the school run: the front wheels toe out since.
    fault: { kind: 'misalignment', fromKm: 52_500, pace: 0.5, place: '1' },
    // Due again today.
    lastDaysAgo: EVERY_DAYS,
  }),
  story({
    code: 'FH 08',
    make: 'Tarnwell',
    model: 'Fell 75',
    year: 2014,
    class: 'goods',
    use: 'mobile library',
    axles: [frontAxle(550, sized('225/75 R17.5')), axle(560, { driven: true, ...sized('225/75 R17.5') })],
    makeUp: { drive: 'rear', timingBelt: false },
    startKm: 140_000,
    kmPerVisit: 2400,
    wear: [0.8, 0.9],
    // Nobody has bled it for years.
    brakeFluid: { monthsOld: 40, holds: 5.4 },
    special: { 0: { brief: false }, 3: { brief: false }, 6: { brief: false } },
  }),
  story({
    code: 'FH 09',
    make: 'Osprell',
    model: 'Dab-e',
    year: 2022,
    class: 'car',
    use: 'errands',
    axles: [frontAxle(250, { driven: true, ...sized(SMALL) }), axle(250, { ...sized(SMALL) })],
    makeUp: { power: 'electric', steering: 'electric', timingBelt: false, hydraulicClutch: false },
    startKm: 6_000,
    kmPerVisit: 2600,
    wear: [1.25, 0.35],
    leaksTyre: '2R',
  }),
  story({
    code: 'FH 10',
    make: 'Osprell',
    model: 'Heron tow',
    year: 2017,
    class: 'car',
    use: 'tow car',
    axles: [frontAxle(240, { driven: true, ...sized('205/60 R16') }), axle(250, sized('205/60 R16'))],
    makeUp: { towbar: true },
    startKm: 96_000,
    kmPerVisit: 3300,
    wear: [1.15, 1.3],
    special: { 0: { leak: weep('damp'), brief: false }, 3: { leak: weep('stain'), brief: false } },
  }),
  story({
    code: 'FH 13',
    make: 'Morrick',
    model: 'Ferrier 16',
    year: 2016,
    class: 'minibus',
    use: 'ferry transfers',
    axles: bus(),
    makeUp: { drive: 'rear', passengerLift: true },
    startKm: 120_000,
    kmPerVisit: 4500,
    wear: [1, 1.1],
    // It loses a little, and what goes back in is water.
    glycol: (visit) => 52 - 1.9 * visit,
    log: [760, 560, 350, 130].map(
      (daysAgo, n) => [daysAgo, 129_400 + n * 8200, { kind: 'top-up', fluid: 'coolant', litres: 0.8 }] as const,
    ),
    open: today({
      km: 161_100,
      complaint: 'A puddle under it this morning.',
      levels: { coolant: 0.05 },
      // A no at the gate: nobody starts it before a lead has said so.
      leak: { ...DRY, stage: 'drop', fluid: 'coolant', place: 'under-radiator' },
      leakAt: 'cold.pool',
    }),
  }),
];
