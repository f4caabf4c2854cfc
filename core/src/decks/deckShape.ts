import { cataloguePoint } from '../catalogue/catalogue';
import type { GradedPoint } from '../grading/verdict';
import type { DeckName } from './deckNames';
import { DRAWING, type Box, type Spot, type VehicleShape } from './vehicleShape';

/** The bonnet is drawn by itself, as large as the picture: that is where most points lie close together. */
export const BONNET_BOX: Box = { x: 12, y: 6, width: DRAWING.width - 24, height: DRAWING.height - 12 };

/** What a floor's points lie in. */
export const deckBox = (deck: DeckName, shape: VehicleShape): Box => (deck === 'bonnet' ? BONNET_BOX : shape.box);

/** Where a point is drawn on its floor; null for one that has no place there, as those of a wheel. */
export function pointSpot({ point }: Pick<GradedPoint, 'point'>, shape: VehicleShape): Spot | null {
  const at = cataloguePoint(point).deck;
  if (!at || at.name === 'wheels') return null;
  const { x, y, width, height } = deckBox(at.name, shape);
  return { x: x + at.x * width, y: y + at.y * height };
}

/** A name beside its mark. */
export interface DeckLabel extends Spot {
  readonly key: string;
  readonly text: string;
  readonly anchor: 'start' | 'end';
}

/** Px a letter of the narrow face takes at the size labels are set in. */
const LETTER = 7.6;
const LINE = 18;
/** Px a mark takes to each side. */
const MARK = 10;

const meets = (a: Box, b: Box) =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

/**
 * Names beside their marks, for as many as have room without lying on another mark or name, in the order given.
 *
 * @param named what is to be named, the most urgent first
 * @param marks every mark of the floor
 */
export function placeLabels(
  named: readonly { readonly key: string; readonly text: string; readonly at: Spot }[],
  marks: readonly Spot[],
): DeckLabel[] {
  const taken: Box[] = [];
  const placed: DeckLabel[] = [];
  for (const { key, text, at } of named) {
    const width = text.length * LETTER;
    const others = marks.filter((mark) => mark !== at && (mark.x !== at.x || mark.y !== at.y));
    const tries = (
      [
        ['start', at.x + MARK + 2, at.y],
        ['end', at.x - MARK - 2, at.y],
        ['start', at.x - MARK, at.y - LINE],
        ['start', at.x - MARK, at.y + LINE],
      ] as const
    ).map(([anchor, x, y]) => ({
      anchor,
      x,
      y: y + 6,
      box: { x: anchor === 'start' ? x : x - width, y: y - LINE / 2, width, height: LINE },
    }));
    const free = tries.find(
      ({ box }) =>
        box.x >= 4 &&
        box.x + box.width <= DRAWING.width - 4 &&
        box.y >= 0 &&
        box.y + box.height <= DRAWING.height &&
        !taken.some((one) => meets(one, box)) &&
        !others.some((mark) => meets({ x: mark.x - 7, y: mark.y - 7, width: 14, height: 14 }, box)),
    );
    if (!free) continue;
    taken.push(free.box);
    placed.push({ key, text, x: free.x, y: free.y, anchor: free.anchor });
  }
  return placed;
}
