import { bodyOf, type Body } from '../vehicle/makeUp';
import { hubPlaces, tyresAtHub, type Hub, type Place, type Vehicle } from '../vehicle/vehicle';

/** The picture a vehicle is drawn in, its own units; front to the left, nearside of a right-hand driver on top. */
export const DRAWING = { width: 420, height: 196 } as const;

/** A point of the picture. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** A rectangle of the picture. */
export interface Box extends Spot {
  readonly width: number;
  readonly height: number;
}

/** What is drawn of a vehicle. */
export type DrawnVehicle = Pick<Vehicle, 'makeUp' | 'class' | 'axles'>;

/** A vehicle from above: everything that is drawn of it, as paths and boxes. */
export interface VehicleShape {
  readonly body: Body;
  /** What lies within its length and breadth. */
  readonly box: Box;
  readonly outline: string;
  /** Glass, load bed, doors, lift: thin lines. */
  readonly lines: string;
  /** Where each axle lies along the picture. */
  readonly axles: readonly number[];
  /** Every tyre by its place. */
  readonly tyres: ReadonlyMap<Place, Box>;
  /** Engine block and what leads from it to the driven axles. */
  readonly engine: Box;
  readonly drivenBy: string;
}

/** Length by breadth, where first and last axle lie along it, how far the nose is rounded; shares of its length. */
const FORMS: Readonly<
  Record<Body, { readonly ratio: number; readonly first: number; readonly last: number; readonly nose: number }>
> = {
  hatchback: { ratio: 2.35, first: 0.19, last: 0.8, nose: 0.1 },
  saloon: { ratio: 2.6, first: 0.19, last: 0.78, nose: 0.1 },
  estate: { ratio: 2.6, first: 0.18, last: 0.79, nose: 0.1 },
  van: { ratio: 2.95, first: 0.16, last: 0.78, nose: 0.07 },
  'pick-up': { ratio: 2.75, first: 0.18, last: 0.77, nose: 0.06 },
  box: { ratio: 3.1, first: 0.13, last: 0.76, nose: 0.025 },
  flatbed: { ratio: 3.1, first: 0.13, last: 0.76, nose: 0.025 },
  bus: { ratio: 3.4, first: 0.2, last: 0.74, nose: 0.025 },
  tractor: { ratio: 2.3, first: 0.18, last: 0.76, nose: 0.03 },
  set: { ratio: 2.2, first: 0.5, last: 0.5, nose: 0.02 },
};
const MARGIN = 12;
const TYRE = { length: 42, breadth: 17 } as const;
/** Between two axles that stand close, share of the length. */
const CLOSE = 0.115;

/** Where each axle lies, share of the length: steered ones behind the first, the others before the last. */
function axleShares({ axles }: DrawnVehicle, { first, last }: (typeof FORMS)[Body]): number[] {
  if (axles.length <= 1) return axles.map(() => (first + last) / 2);
  const plain = axles.findIndex(({ steered }, index) => index > 0 && !steered);
  const ahead = plain < 0 ? axles.length - 1 : plain;
  const shares = axles.map((_, index) =>
    index < ahead ? first + index * CLOSE : last - (axles.length - 1 - index) * CLOSE,
  );
  const isApart = shares.every((share, index) => index === 0 || share - (shares[index - 1] ?? 0) >= CLOSE * 0.99);
  // So many that the two groups meet: evenly from the first to the last.
  return isApart ? shares : axles.map((_, index) => first + (index * (last - first)) / (axles.length - 1));
}

const rect = ({ x, y, width, height }: Box) => `M${x} ${y}h${width}v${height}h${-width}Z`;

function bodyPath({ x, y, width, height }: Box, nose: number, tail: number): string {
  const [right, bottom, middle] = [x + width, y + height, y + height / 2];
  return [
    `M${x + nose} ${y}H${right - tail}Q${right} ${y} ${right} ${y + tail}V${bottom - tail}`,
    `Q${right} ${bottom} ${right - tail} ${bottom}H${x + nose}`,
    `C${x + nose * 0.3} ${bottom} ${x} ${bottom - height * 0.2} ${x} ${middle}`,
    `C${x} ${y + height * 0.2} ${x + nose * 0.3} ${y} ${x + nose} ${y}Z`,
  ].join('');
}

function outlineOf(body: Body, box: Box, nose: number): string {
  const { x, y, width, height } = box;
  const part = (from: number, to: number, low: number, high: number) =>
    rect({ x: x + from * width, y: y + low * height, width: (to - from) * width, height: (high - low) * height });
  switch (body) {
    case 'tractor':
      return part(0, 0.46, 0.33, 0.67) + part(0.46, 0.84, 0.2, 0.8);
    case 'box':
    case 'flatbed':
      return (
        bodyPath({ ...box, y: y + 3, width: width * 0.22, height: height - 6 }, nose * width, 6) + part(0.25, 1, 0, 1)
      );
    case 'set':
      return part(0, 1, 0.1, 0.9);
    default:
      return bodyPath(box, nose * width, 12);
  }
}

/** Glass across the breadth, bowed towards the front by `bow` px. */
const pane = ({ x, y, width, height }: Box, at: number, bow: number, inset: number) =>
  `M${x + at * width} ${y + inset * height}Q${x + at * width - bow} ${y + height / 2} ${x + at * width} ${y + (1 - inset) * height}`;

function linesOf(body: Body, box: Box, { passengerLift, towbar }: Vehicle['makeUp']): string {
  const { x, y, width, height } = box;
  const across = (at: number, low = 0, high = 1) => `M${x + at * width} ${y + low * height}V${y + high * height}`;
  const doors = (...places: readonly number[]) =>
    places.map((at) => across(at, 0, 0.07) + across(at, 0.93, 1)).join('');
  const bed = (from: number) =>
    rect({ x: x + from * width, y: y + 8, width: (0.985 - from) * width, height: height - 16 });
  const own: Record<Body, string> = {
    hatchback: pane(box, 0.34, 16, 0.1) + pane(box, 0.9, -10, 0.14) + doors(0.38, 0.58, 0.74),
    saloon: pane(box, 0.35, 16, 0.1) + pane(box, 0.78, -12, 0.14) + doors(0.38, 0.56, 0.7),
    estate: pane(box, 0.33, 16, 0.1) + pane(box, 0.955, -6, 0.12) + doors(0.37, 0.54, 0.7),
    van: pane(box, 0.2, 14, 0.08) + doors(0.22, 0.34, 0.52) + across(0.97, 0.1, 0.9),
    'pick-up': pane(box, 0.32, 14, 0.1) + across(0.6, 0.06, 0.94) + bed(0.62) + doors(0.35, 0.47, 0.58),
    box: pane(box, 0.07, 8, 0.12) + doors(0.1, 0.18) + `M${x + 0.22 * width} ${y + height / 2}h${0.03 * width}`,
    flatbed: pane(box, 0.07, 8, 0.12) + doors(0.1, 0.18) + across(0.4) + across(0.55) + across(0.7) + across(0.85),
    bus: pane(box, 0.05, 8, 0.08) + doors(0.08, 0.14, 0.5, 0.58) + across(0.975, 0.1, 0.9),
    tractor: pane(box, 0.5, 6, 0.24) + `M${x + 0.84 * width} ${y + height / 2}h${0.14 * width}`,
    set: across(0.46, 0.1, 0.9) + `M${x} ${y + height / 2}h${-8}`,
  };
  const lift = passengerLift
    ? rect({ x: x + width * 0.9, y: y + height * 0.24, width: width * 0.07, height: height * 0.52 }) +
      across(0.925, 0.24, 0.76)
    : '';
  const hook = towbar ? `M${x + width} ${y + height / 2}h7a4 4 0 1 1 0 6` : '';
  return own[body] + lift + hook;
}

/** How a vehicle is drawn from above: proportions by what it is, axles and tyres as it has them. */
export function vehicleShape(vehicle: DrawnVehicle): VehicleShape {
  const body = bodyOf(vehicle);
  const form = FORMS[body];
  const { makeUp, axles } = vehicle;
  const height = Math.min(DRAWING.height - 32, (DRAWING.width - 2 * MARGIN) / form.ratio);
  const width = Math.min(DRAWING.width - 2 * MARGIN, height * form.ratio);
  const box: Box = { x: (DRAWING.width - width) / 2, y: (DRAWING.height - height) / 2, width, height };
  const at = axleShares(vehicle, form).map((share) => box.x + share * width);
  const gap = Math.min(...at.slice(1).map((x, index) => x - (at[index] ?? x)), Infinity);
  const lengths = axles.map(({ driven }) =>
    Math.min(body === 'tractor' && driven ? TYRE.length * 1.7 : TYRE.length, gap * 0.9),
  );
  const tyres = new Map<Place, Box>();
  for (const hub of hubPlaces(axles)) {
    const index = Number.parseInt(hub, 10) - 1;
    const length = lengths[index] ?? TYRE.length;
    tyresAtHub(axles, hub).forEach((tyre, inward) => {
      const step = 2 + inward * (TYRE.breadth + 2);
      const y = hub.includes('L') ? box.y - 6 + step : box.y + box.height + 6 - TYRE.breadth - step;
      tyres.set(tyre, { x: (at[index] ?? box.x) - length / 2, y, width: length, height: TYRE.breadth });
    });
  }
  const long = makeUp.drive !== 'front';
  const block = { width: long ? 74 : 44, height: long ? 46 : 76 };
  const share = makeUp.enginePlace === 'front' ? form.first : makeUp.enginePlace === 'rear' ? 0.9 : 0.5;
  const middle = box.y + box.height / 2;
  const centre = body === 'set' ? box.x + 0.22 * width : Math.max(box.x + 48, box.x + share * width - (long ? 0 : 14));
  const engine = { x: centre - block.width / 2, y: middle - Math.min(block.height, height * 0.6) / 2, ...block };
  const drivenBy = axles
    .flatMap(({ driven }, index) => (driven ? [`M${centre} ${middle}H${at[index] ?? centre}`] : []))
    .join('');
  return {
    body,
    box,
    outline: outlineOf(body, box, form.nose),
    lines: linesOf(body, box, makeUp),
    axles: at,
    tyres,
    engine: { ...engine, height: Math.min(block.height, height * 0.6) },
    drivenBy,
  };
}

/** Where a hub is drawn: at the outer edge of its outermost tyre. */
export function hubSpot({ axles, box }: VehicleShape, hub: Hub): Spot {
  const index = Number.parseInt(hub, 10) - 1;
  return { x: axles[index] ?? box.x, y: hub.includes('L') ? box.y : box.y + box.height };
}
