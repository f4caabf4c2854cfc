import { cataloguePoint, mainSlot } from '../catalogue/catalogue';
import type { MeasureCode } from '../catalogue/measures';
import { isWrong, worstGrade, type Grade } from '../grading/grade';
import { worstFirst, type GradedPoint } from '../grading/verdict';
import { readingAt, readingValue } from '../inspection/finding';
import { hubPlaces, tyresAtHub } from '../vehicle/vehicle';
import { isOnDeck, type DeckName } from './deckNames';
import { BONNET_BOX, placeLabels, pointSpot } from './deckShape';
import { gradeMark, inkOf, leakDrop, type Shape } from './marks';
import {
  DRAWING,
  hubSpot,
  vehicleShape,
  type Box,
  type DrawnVehicle,
  type Spot,
  type VehicleShape,
} from './vehicleShape';
import { worstLeak } from './worstLeak';

/** Words on a drawing; `strong` names a point, otherwise it is a figure at a wheel. */
export interface DrawnText extends Spot {
  readonly text: string;
  readonly anchor: 'start' | 'end';
  readonly strong: boolean;
}

/** One floor of a vehicle as it is drawn, in units of {@link DRAWING}. */
export interface DeckDrawing {
  readonly shapes: readonly Shape[];
  readonly texts: readonly DrawnText[];
  /** What is not well and had no room for its name, worst first. */
  readonly unnamed: readonly GradedPoint[];
}

/** Most names on one deck; the rest is counted. */
const MOST_NAMED = 5;

/** How a drawing's words are made. */
export interface DeckWords {
  readonly name: (point: GradedPoint) => string;
  readonly figure: (measure: MeasureCode, stored: number) => string;
}

/** A floor of the vehicle with the points that lie on it. @param points of any floor */
export function drawDeck(
  deck: DeckName,
  vehicle: DrawnVehicle,
  points: readonly GradedPoint[],
  words: DeckWords,
): DeckDrawing {
  const shape = vehicleShape(vehicle);
  const here = points.filter((point) => isOnDeck(deck, point));
  const wrong = worstFirst(here).filter(({ result }) => isWrong(result.grade));
  const spots = here.flatMap((point) => pointSpot(point, shape) ?? []);
  const labels = placeLabels(
    wrong.slice(0, MOST_NAMED).flatMap((point) => {
      const at = pointSpot(point, shape);
      return at ? [{ key: point.key, text: words.name(point), at }] : [];
    }),
    spots,
  );
  const floor =
    deck === 'wheels' ? drawWheels(shape, vehicle, here, words) : { shapes: drawFloor(deck, shape, here), texts: [] };
  const way = `M9 ${DRAWING.height / 2 - 9}L1 ${DRAWING.height / 2}L9 ${DRAWING.height / 2 + 9}Z`;
  return {
    shapes: [...floor.shapes, { d: way, fill: 'soft', stroke: null, width: 0 }],
    texts: [...floor.texts, ...labels.map(({ text, x, y, anchor }) => ({ text, x, y, anchor, strong: true }))],
    unnamed: wrong.filter(({ key }) => !labels.some((label) => label.key === key)),
  };
}

const rounded = ({ x, y, width, height }: Box, r: number) =>
  `M${x + r} ${y}h${width - 2 * r}a${r} ${r} 0 0 1 ${r} ${r}v${height - 2 * r}a${r} ${r} 0 0 1 ${-r} ${r}h${2 * r - width}a${r} ${r} 0 0 1 ${-r} ${-r}v${2 * r - height}a${r} ${r} 0 0 1 ${r} ${-r}Z`;
const line = (d: string, stroke: Shape['stroke'], width: number): Shape => ({ d, fill: null, stroke, width });
const part = (d: string, width = 1.5): Shape => ({ d, fill: 'panel', stroke: 'rule', width });
const whole = (d: string): Shape => ({ d, fill: 'card', stroke: 'ink', width: 1.5 });

/** What lies under the bonnet, or under the floor: the large parts, and every point where it is. A leak is drawn as its drop. */
function drawFloor(deck: Exclude<DeckName, 'wheels'>, shape: VehicleShape, points: readonly GradedPoint[]): Shape[] {
  return [
    ...(deck === 'bonnet' ? bonnet(shape) : underside(shape)),
    ...points.flatMap((point) => {
      const at = pointSpot(point, shape);
      if (!at) return [];
      const { grade } = point.result;
      const leak = worstLeak(point);
      return leak ? leakDrop(leak, at, inkOf(grade), 15) : [gradeMark(grade, at.x, at.y)];
    }),
  ];
}

/** The compartment of the engine, as large as the picture: nose, radiator, block, bulkhead. */
function bonnet({ body, engine }: VehicleShape): Shape[] {
  const { x, y, width, height } = BONNET_BOX;
  const [right, bottom, middle] = [x + width, y + height, y + height / 2];
  const nose = body === 'box' || body === 'flatbed' || body === 'bus' || body === 'tractor' || body === 'set' ? 14 : 54;
  const block = { width: engine.width * 1.4, height: engine.height * 1.25 };
  return [
    whole(
      `M${right} ${y}H${x + nose}C${x + nose * 0.3} ${y} ${x} ${y + height * 0.16} ${x} ${middle}C${x} ${bottom - height * 0.16} ${x + nose * 0.3} ${bottom} ${x + nose} ${bottom}H${right}Q${right - 22} ${middle} ${right} ${y}Z`,
    ),
    part(rounded({ x: x + 24, y: middle - height * 0.34, width: 9, height: height * 0.68 }, 3), 1),
    part(rounded({ x: x + width * 0.3 - block.width / 2, y: middle - block.height / 2, ...block }, 8)),
    line(`M${x + width * 0.8} ${y + 4}Q${x + width * 0.75} ${middle} ${x + width * 0.8} ${bottom - 4}`, 'rule', 2),
  ];
}

/** The whole vehicle from above, its floor taken off: block, what drives the wheels, exhaust. */
function underside({ box, outline, engine, drivenBy, axles }: VehicleShape): Shape[] {
  const low = box.y + box.height * 0.74;
  return [
    whole(outline),
    line(axles.map((at) => `M${at} ${box.y + 14}V${box.y + box.height - 14}`).join(''), 'rule', 5),
    line(
      `M${engine.x + engine.width} ${low}C${box.x + box.width * 0.5} ${low + 8} ${box.x + box.width * 0.7} ${low} ${box.x + box.width - 8} ${low}`,
      'panel',
      9,
    ),
    line(drivenBy, 'rule', 7),
    part(rounded(engine, 8)),
  ].filter(({ d }) => d !== '');
}

/** What is told at a wheel, in this order. */
const FIGURES: readonly string[] = ['tyre.tread', 'pad.outer', 'pad.inner'];

/** Whether any wheel has figures to tell. */
export const hasFigures = (points: readonly GradedPoint[]): boolean =>
  points.some((point) => FIGURES.includes(point.point) && lowest(point) !== null);

/** From so many axles on only the wheels that are not well have room for their figures. */
const CROWDED = 3;

/** The vehicle from above with its tyres, each by its worst grade and with its least figures. */
function drawWheels(
  shape: VehicleShape,
  { axles }: DrawnVehicle,
  points: readonly GradedPoint[],
  { figure }: DeckWords,
): Pick<DeckDrawing, 'shapes' | 'texts'> {
  const { box } = shape;
  const shapes: Shape[] = [
    whole(shape.outline),
    line(shape.lines, 'edge', 1.5),
    line(shape.axles.map((at) => `M${at} ${box.y + 8}V${box.y + box.height - 8}`).join(''), 'rule', 4),
    line(shape.drivenBy, 'rule', 4),
  ].filter(({ d }) => d !== '');
  const texts: DrawnText[] = [];
  for (const hub of hubPlaces(axles)) {
    const tyres = tyresAtHub(axles, hub);
    const atHub = points.filter(({ place }) => place === hub || tyres.includes(place));
    const graded = (place: string) =>
      worstGrade(
        atHub
          .filter((point) => point.station === 'wheel' && (point.place === place || point.place === hub))
          .map(({ result }) => result.grade),
      );
    for (const tyre of tyres) {
      const where = shape.tyres.get(tyre);
      if (where) shapes.push(...drawTyre(graded(tyre), where));
    }
    if (axles.length >= CROWDED && !tyres.some((tyre) => isWrong(graded(tyre)))) continue;
    const told = FIGURES.flatMap((code) => atHub.filter(({ point }) => point === code)).flatMap((point) => {
      const least = lowest(point);
      return least ? [figure(least.measure, least.value)] : [];
    });
    if (told.length === 0) continue;
    const at = hubSpot(shape, hub);
    const rear = at.x > box.x + box.width / 2;
    const away = Math.max(...tyres.map((tyre) => shape.tyres.get(tyre)?.width ?? 0)) / 2 + 8;
    texts.push({
      x: rear ? at.x - away : at.x + away,
      y: hub.includes('L') ? box.y + 20 : box.y + box.height - 8,
      anchor: rear ? 'end' : 'start',
      text: told.join(' · '),
      strong: false,
    });
  }
  return { shapes, texts };
}

/** A tyre by its grade: whole, notched or cut through, dashed where nobody has seen it. */
function drawTyre(grade: Grade, { x, y, width, height }: Box): Shape[] {
  const ink = inkOf(grade);
  const middle = x + width / 2;
  const cut = height * (grade === 'fail' ? 1 : 0.55) + 1;
  const d = rounded({ x, y, width, height }, Math.min(5, width / 2, height / 2));
  const tyre: Shape =
    ink === 'unseen'
      ? { d, fill: 'card', stroke: ink, width: 2, dash: [4, 3] }
      : { d, fill: ink, stroke: ink, width: 2 };
  if (!isWrong(grade)) return [tyre];
  return [tyre, { d: `M${middle - 6} ${y - 1}l6 ${cut}l6 ${-cut}Z`, fill: 'card', stroke: null, width: 0 }];
}

/** The least of a point's readings: what decides it. */
function lowest({ point, finding }: GradedPoint): { readonly measure: MeasureCode; readonly value: number } | null {
  const slot = mainSlot(cataloguePoint(point));
  if (!slot) return null;
  const values = slot.spots.flatMap((spot) => {
    const reading = readingAt(finding, slot.measure, spot);
    return reading && reading.bound === 'exact' ? [readingValue(reading)] : [];
  });
  return values.length > 0 ? { measure: slot.measure, value: Math.min(...values) } : null;
}
