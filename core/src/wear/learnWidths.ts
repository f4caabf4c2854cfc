import { evenly } from '../sums/evenly';
import { groupBy } from '../sums/groupBy';
import { shrunkWidth, type Calibration } from './calibration';
import type { FleetRates, PartHistory } from './fleetRates';
import { partSurprises } from './partBelief';
import type { Surprise } from './wearBelief';

/** Parts of a kind that are looked at: evenly through all. */
const MOST_PARTS = 900;
/** Only readings that the gauge alone does not explain tell whether wear is known as well as it is said to be. */
const LEAST_OWN = 0.35;
/** Fewer readings change nothing; and the weight of trust in the model itself, in readings. */
const LEAST_READINGS = 80;
const TRUST = 80;
/** Old readings count half after this much of the vehicle's way, thousands of km (or h). */
const HALF_LIFE = 60;
/** What lies farther than this is a misread, standard deviations. */
const FARTHEST = 3;
/** A better held-back score than this many of its standard errors is no accident. */
const SURE = 2;

interface Weighed {
  readonly vehicle: string;
  readonly z: number;
  readonly weight: number;
}

/**
 * How wide each kind's ranges must be told. Scored on readings a few looks ahead: next to nothing is censored there,
 * whatever a house renews early. Only how wide is learned, never where the middle lies; it is used only where it has shown
 * itself better than doing nothing on vehicles it was not learned from, both ways round; and it forgets.
 */
export function learnWidths(parts: readonly PartHistory[], rates: FleetRates): Record<string, Calibration> {
  return Object.fromEntries(
    [...groupBy(parts, ({ kind }) => kind)].flatMap(([kind, ones]) => {
      const width = widthOf(weigh(evenly(ones, MOST_PARTS), rates));
      return width ? [[kind, width] as const] : [];
    }),
  );
}

function weigh(parts: readonly PartHistory[], rates: FleetRates): Weighed[] {
  const newest = new Map<string, number>();
  for (const { vehicle, readings } of parts)
    newest.set(vehicle, Math.max(newest.get(vehicle) ?? -Infinity, readings.at(-1)?.x ?? -Infinity));
  return parts.flatMap((part) =>
    partSurprises(rates, part)
      .filter(({ own }) => own >= LEAST_OWN)
      .map(({ x, z }: Surprise) => ({
        vehicle: part.vehicle,
        z,
        weight: 0.5 ** (((newest.get(part.vehicle) ?? x) - x) / HALF_LIFE),
      })),
  );
}

function widthOf(all: readonly Weighed[]): Calibration | null {
  if (all.length < LEAST_READINGS) return null;
  const vehicles = [...new Set(all.map(({ vehicle }) => vehicle))].sort();
  const first = new Set(vehicles.filter((_, index) => index % 2 === 0));
  const halves = [all.filter(({ vehicle }) => first.has(vehicle)), all.filter(({ vehicle }) => !first.has(vehicle))];
  const gains = halves.map((half, index) => gainsOf(half, widthFor(halves[1 - index] ?? [])));
  const both = gains.flat();
  const mean = both.reduce((sum, gain) => sum + gain, 0) / both.length;
  const error = Math.sqrt(both.reduce((sum, gain) => sum + (gain - mean) ** 2, 0)) / both.length;
  const proven = gains.every((half) => half.reduce((sum, gain) => sum + gain, 0) > 0) && mean > SURE * error;
  return proven ? { scored: all.length, width: widthFor(all) } : null;
}

/** What readings some looks ahead show of short ways says only so much of the whole way. */
const NARROWEST = 0.75;

const widthFor = (all: readonly Weighed[]): number =>
  shrunkWidth(
    all.map(({ z, weight }) => ({ size: Math.abs(z), weight })),
    TRUST,
    NARROWEST,
  );

/** How much better each vehicle's readings are told with a width than without, log score. */
function gainsOf(half: readonly Weighed[], width: number): number[] {
  return [...groupBy(half, ({ vehicle }) => vehicle).values()].map((ones) =>
    ones.reduce((sum, { z, weight }) => {
      const off = Math.min(FARTHEST, Math.abs(z));
      return sum + weight * (-Math.log(width) - 0.5 * off * off * (1 / width ** 2 - 1));
    }, 0),
  );
}
