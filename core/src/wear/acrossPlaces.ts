import type { PartHistory } from './fleetRates';
import type { WearReading } from './wearFilter';

/** What all readings of one gauge at a visit are off by together, against what each is off by alone. */
export const TOGETHER = 0.6;
/** How far places of one part lie apart by what it has worn, where nothing is wrong with it; and how much that counts, in readings. */
const USUAL_APART = 0.06;
const USUAL_COUNTS = 4;
/** Looks back that tell how far its places lie apart now: a shoulder that begins to go is believed within these. */
const LOOKS_BACK = 3;
/** What is read together is never surer than this share of one reading's uncertainty. */
const LEAST_U = 0.5;

/**
 * A place's readings as all places across its part tell them: the places wear alike until they do not. Each reading is drawn
 * to the middle of its look by how much of the difference the gauge alone explains (James and Stein 1961, by look); where
 * places truly differ it stays its own.
 *
 * @param others the other places across the same part, in any order
 * @param handU what readings are off by beyond their own `u`, one standard deviation
 */
export function readTogether<T extends PartHistory>(part: T, others: readonly PartHistory[], handU: number): T {
  const exact = others.map(({ readings }) => new Map(readings.filter(isExact).map(({ x, y }) => [x, y])));
  const [first] = part.readings;
  if (exact.length === 0 || !first) return part;
  const start = part.fitted?.fresh ?? first.y;
  const looks: { readonly squares: number; readonly free: number }[] = [];
  return {
    ...part,
    readings: part.readings.map((reading) => {
      const all = [reading.y, ...exact.flatMap((ys) => ys.get(reading.x) ?? [])];
      if (!isExact(reading) || all.length === 1) return reading;
      const middle = all.reduce((sum, y) => sum + y, 0) / all.length;
      looks.push({ squares: all.reduce((sum, y) => sum + (y - middle) ** 2, 0), free: all.length - 1 });
      return drawn(reading, { middle, places: all.length, worn: start - middle, handU }, looks.slice(-LOOKS_BACK));
    }),
  };
}

const isExact = ({ bound }: WearReading) => bound === 'exact';

function drawn(
  reading: WearReading,
  {
    middle,
    places,
    worn,
    handU,
  }: { readonly middle: number; readonly places: number; readonly worn: number; readonly handU: number },
  looks: readonly { readonly squares: number; readonly free: number }[],
): WearReading {
  const whole = reading.u ** 2 + handU ** 2;
  const alone = (1 - TOGETHER ** 2) * whole;
  const usual = (USUAL_APART * worn) ** 2;
  const squares = looks.reduce((sum, one) => sum + one.squares, USUAL_COUNTS * (usual + alone));
  const spread = squares / looks.reduce((sum, { free }) => sum + free, USUAL_COUNTS);
  const own = 1 - Math.min(1, alone / spread);
  const variance = whole - alone + alone / places + own * alone * (1 - 1 / places);
  const u = Math.sqrt(Math.max((LEAST_U * reading.u) ** 2, variance - handU ** 2));
  return { ...reading, y: middle + own * (reading.y - middle), u };
}
