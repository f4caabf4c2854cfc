import { bad, badFace, box, crack, disc, each, face, line, type Drawing } from '../drawing';

/** The tread from the front: five ribs, four grooves. */
const TREAD = [
  face('M24 8Q48 2 72 8V52Q48 58 24 52Z'),
  line('M34 6V54M43 5V55M53 5V55M62 6V54', 'ink', 2.5),
  line('M24 18h10M24 30h10M24 42h10M62 18h10M62 30h10M62 42h10', 'soft', 1),
];
const worn = (...strips: readonly (readonly [number, number])[]): Drawing => [
  ...TREAD,
  badFace(strips.map(([x, width]) => box(x, 10, width, 40)).join('')),
];
/** The tyre from the side, on the ground. */
const WALL = [line('M6 57H90', 'soft'), face(disc(48, 30, 27)), face(disc(48, 30, 14), 'ground')];

export const TYRE = {
  'centre-wear': worn([44, 8]),
  'both-edge-wear': worn([24, 9], [63, 9]),
  'inner-edge-wear': worn([63, 9]),
  'outer-edge-wear': worn([24, 9]),
  cupping: [
    ...TREAD,
    badFace(
      each(
        [
          [28, 14],
          [28, 30],
          [28, 46],
          [67, 22],
          [67, 38],
        ],
        (x, y) => disc(x, y, 4.5),
      ),
    ),
  ],
  feathering: [
    line('M8 46H88', 'soft'),
    face('M10 46V20L26 30V46ZM30 46V20L46 30V46ZM50 46V20L66 30V46ZM70 46V20L86 30V46Z'),
    bad('M10 20L26 30M30 20L46 30M50 20L66 30M70 20L86 30', 3),
  ],
  'flat-spot': [
    line('M6 57H90', 'soft'),
    face('M32 52A27 27 0 1 1 64 52Z'),
    face(disc(48, 30, 14), 'ground'),
    bad('M32 52H64', 4),
  ],
  cut: [...TREAD, bad('M30 40L64 18', 3.5)],
  bulge: [...WALL, badFace('M69 14q14 2 8 16l-8 -2Z')],
  'cord-visible': [...TREAD, bad('M46 14l12 12M46 22l12 12M46 30l12 12M58 14l-12 12M58 22l-12 12M58 30l-12 12', 1.5)],
} satisfies Record<string, Drawing>;

export const TYRE_WALL = {
  cut: [...WALL, bad('M24 18L34 30', 3.5)],
  bulge: TYRE.bulge,
  'cord-visible': [...WALL, bad('M66 22l8 8M66 28l8 8M74 22l-8 8M74 28l-8 8', 1.5)],
  'object-stuck': [...TREAD, bad('M48 34V12M43 12H53', 3), badFace(disc(48, 34, 3))],
  perished: [
    ...WALL,
    bad(
      `${crack(26, 22, [4, 3], [1, 4])}${crack(70, 20, [-3, 4], [-4, 1])}${crack(28, 44, [4, -3], [4, 0])}${crack(66, 44, [-3, -4], [0, -4])}${crack(48, 6, [2, 4], [-2, 4])}`,
      1.5,
    ),
  ],
  'rim-damage': [...WALL, bad('M58 20q4 4 3 9l-5 -1', 3)],
  kerbing: [...WALL, bad('M24 45a27 27 0 0 1 -3 -15M27 43a23 23 0 0 1 -2 -12M30 41a19 19 0 0 1 -2 -9', 2)],
} satisfies Record<string, Drawing>;
