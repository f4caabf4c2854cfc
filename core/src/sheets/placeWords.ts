import { entryOf } from '../sums/keyed';
import { AXLE_NUMBERS, type Axle, type Place, type Side } from '../vehicle/vehicle';
import { hasPlace, isPlace, isPlaceOf, placeOf, type Repeats } from '../vehicle/place';
import type { HouseRules } from '../house/houseRules';

/** What words say of a place; what they leave open is null. */
export interface SaidPlace {
  readonly axle: 'front' | 'rear' | 1 | 2 | 3 | 4 | null;
  readonly side: Side | null;
  readonly tyre: 'o' | 'i' | null;
}

/** Who says where: the side the traffic keeps to, where the driver sits, and the axles. */
export interface PlaceGiven {
  readonly traffic: HouseRules['traffic'];
  readonly driverSide: Side | null;
  readonly axles: readonly Pick<Axle, 'dual'>[];
}

type Half = Partial<SaidPlace> | 'kerb' | 'road' | 'driver' | 'passenger';

/** Words of every school; letters that are one word together are taken apart first. */
const SAID: Readonly<Record<string, Half>> = {
  front: { axle: 'front' },
  f: { axle: 'front' },
  fr: { axle: 'front' },
  steer: { axle: 'front' },
  rear: { axle: 'rear' },
  back: { axle: 'rear' },
  left: { side: 'L' },
  l: { side: 'L' },
  lh: { side: 'L' },
  lhs: { side: 'L' },
  right: { side: 'R' },
  rh: { side: 'R' },
  rhs: { side: 'R' },
  nearside: 'kerb',
  ns: 'kerb',
  kerb: 'kerb',
  kerbside: 'kerb',
  offside: 'road',
  os: 'road',
  roadside: 'road',
  driver: 'driver',
  drivers: 'driver',
  passenger: 'passenger',
  passengers: 'passenger',
  outer: { tyre: 'o' },
  outside: { tyre: 'o' },
  inner: { tyre: 'i' },
  inside: { tyre: 'i' },
};

/** Letters that stand for two words. */
const SHORT: Readonly<Record<string, string>> = {
  fl: 'front left',
  lf: 'front left',
  rf: 'front right',
  rl: 'rear left',
  lr: 'rear left',
  rr: 'rear right',
  nsf: 'nearside front',
  nsr: 'nearside rear',
  osf: 'offside front',
  osr: 'offside rear',
  nearsidefront: 'nearside front',
  lro: 'rear left outer',
  lri: 'rear left inner',
  rro: 'rear right outer',
  rri: 'rear right inner',
};
/** Front right or front as a word by itself: with another word of a place it is the axle. */
const FRONT_RIGHT = 'fr';

/** Words that say nothing of where. */
const FILLER = ['axle', 'wheel', 'tyre', 'tire', 'side', 'position', 'no', 'the', 'of', 'vehicle'];

/**
 * Reads where something is from words of any school: `front left`, `FL`, `1L`, `nearside rear`, `axle 2 left inner`.
 *
 * @param words in plain small letters, parted by blanks
 * @returns null where a word is not one of a place, or two of them contradict
 */
export function saidPlace(words: string, given: Pick<PlaceGiven, 'traffic' | 'driverSide'>): SaidPlace | null {
  const whole = words.trim();
  if (whole === FRONT_RIGHT) return { axle: 'front', side: 'R', tyre: null };
  const said: { -readonly [K in keyof SaidPlace]: SaidPlace[K] } = { axle: null, side: null, tyre: null };
  for (const word of whole.split(/\s+/).flatMap((one) => (entryOf<string>(SHORT, one) ?? one).split(' '))) {
    if (FILLER.includes(word) || word === '') continue;
    const axle = AXLE_NUMBERS.find((n) => word === String(n) || word === `a${n}`);
    const half: Half | undefined =
      axle === undefined ? (word === 'r' ? restOf(said) : entryOf<Half>(SAID, word)) : { axle };
    if (half === undefined) return null;
    for (const [part, value] of Object.entries(sided(half, given))) {
      const name = part as keyof SaidPlace;
      if (said[name] !== null && said[name] !== value) return null;
      Object.assign(said, { [name]: value });
    }
  }
  return said.axle === null && said.side === null && said.tyre === null ? null : said;
}

/** A lone `r` is the side where the axle was told, else the axle. */
const restOf = ({ axle }: SaidPlace): Partial<SaidPlace> => (axle === null ? { axle: 'rear' } : { side: 'R' });

function sided(half: Half, { traffic, driverSide }: Pick<PlaceGiven, 'traffic' | 'driverSide'>): Partial<SaidPlace> {
  if (typeof half !== 'string') return half;
  const kerb: Side = traffic === 'left' ? 'L' : 'R';
  const road: Side = kerb === 'L' ? 'R' : 'L';
  if (half === 'kerb') return { side: kerb };
  if (half === 'road') return { side: road };
  // A driver sits at the middle of the road where nobody says otherwise.
  const driver = driverSide ?? road;
  return { side: half === 'driver' ? driver : driver === 'L' ? 'R' : 'L' };
}

/** The place of a vehicle that was said, for a point that repeats so; null where it has none such. */
export function placeSaid(text: string, repeats: Repeats, given: PlaceGiven): Place | null {
  const written = text.trim();
  if (repeats === null) return written === '' ? '' : null;
  const { axles } = given;
  if (isPlace(written) && written !== '') return fitting(written, repeats, axles);
  const said = saidPlace(written.toLowerCase().replace(/[^\da-z]+/g, ' '), given);
  if (!said) return null;
  const axle = said.axle === 'front' ? 1 : said.axle === 'rear' ? AXLE_NUMBERS[axles.length - 1] : said.axle;
  if (axle === null || axle === undefined) return null;
  return fitting(placeOf({ axle, side: said.side, tyre: said.side === null ? null : said.tyre }), repeats, axles);
}

function fitting(place: Place, repeats: Repeats, axles: readonly Pick<Axle, 'dual'>[]): Place | null {
  return isPlaceOf(repeats, place) && hasPlace(axles, repeats, place) ? place : null;
}
