import { bad, badFace, box, crack, disc, drop, each, face, line, type Drawing } from '../drawing';

/** A silencer on its hangers. */
const SILENCER = [face('M2 28H20V34H2ZM76 28H94V34H76Z'), face('M20 18H76V44H20Z')];

export const EXHAUST = {
  'hanger-broken': [...SILENCER, line('M32 4V18', 'ink', 3), bad('M64 4V9M62 13l5 5', 3)],
  'joint-blowing': [...SILENCER, line('M32 4V18M64 4V18', 'ink', 3), bad('M20 26l-6 -8M20 31l-9 -3M20 36l-6 8', 2)],
  hole: [...SILENCER, line('M32 4V18M64 4V18', 'ink', 3), badFace('M44 34l4 -5l6 2l3 6l-6 5l-7 -2Z')],
  scraped: [...SILENCER, line('M32 4V18M64 4V18', 'ink', 3), bad('M26 44h14M34 47h20M30 50h10', 2.5)],
  'shield-loose': [...SILENCER, bad('M22 14Q48 4 74 10', 3), line('M22 14V18', 'ink', 2)],
} satisfies Record<string, Drawing>;

const PANE = face('M10 52L22 8H74L86 52Z', 'ground');

export const GLASS = {
  chip: [PANE, badFace(disc(58, 28, 3)), bad('M58 22v-5M64 28h5M58 34v5M52 28h-5M62 24l3 -3M54 32l-3 3', 1.5)],
  'crack-in-view': [PANE, bad(crack(30, 20, [10, 6], [8, -4], [14, 10]), 2.5), line(box(22, 18, 26, 24), 'soft', 1)],
  'crack-elsewhere': [PANE, bad(crack(82, 40, [-8, -3], [-6, 4]), 2.5), line(box(22, 18, 26, 24), 'soft', 1)],
} satisfies Record<string, Drawing>;

/** A spark plug, its electrodes at the right. */
const PLUG = [
  face(box(4, 22, 30, 16), 'ground'),
  face(box(34, 16, 14, 28)),
  face(box(48, 22, 24, 16)),
  line('M72 30H80', 'ink', 4),
  line('M72 40H88V30', 'ink', 3),
];

export const PLUG_LOOKS = {
  oily: [...PLUG, badFace(drop(62, 32, 12)), bad('M74 30h6', 4)],
  sooty: [
    ...PLUG,
    {
      d: each(
        [
          [74, 26],
          [79, 27],
          [84, 36],
          [76, 34],
          [70, 27],
        ],
        (x, y) => disc(x, y, 2.4),
      ),
      face: 'ink',
    },
  ],
  blistered: [
    ...PLUG,
    bad(
      each(
        [
          [76, 27],
          [81, 26],
          [79, 33],
        ],
        (x, y) => disc(x, y, 2.2),
      ),
      1.5,
    ),
  ],
  'gap-worn': [
    face(box(4, 22, 30, 16), 'ground'),
    face(box(34, 16, 14, 28)),
    face(box(48, 22, 24, 16)),
    line('M72 30H75', 'ink', 4),
    line('M72 40H92V30', 'ink', 3),
    bad('M77 30H90M79 27l-3 3l3 3M88 27l3 3l-3 3', 1.5),
  ],
} satisfies Record<string, Drawing>;

const POST = [face(box(8, 34, 80, 22)), face(box(38, 22, 20, 12), 'ground'), face(disc(48, 16, 8), 'ground')];

export const TERMINAL = {
  corroded: [
    ...POST,
    badFace(
      each(
        [
          [38, 20],
          [44, 28],
          [54, 26],
          [58, 18],
          [50, 10],
        ],
        (x, y) => disc(x, y, 3.4),
      ),
    ),
  ],
  loose: [...POST, bad('M30 12q-4 5 0 10M66 12q4 5 0 10', 2.5)],
  'cover-missing': [...POST, { d: 'M32 30V8Q48 -2 64 8V30Z', line: 'bad', width: 2 }],
} satisfies Record<string, Drawing>;

/** A bush: outer ring, rubber, inner sleeve. */
const BUSH_RING = [face(disc(48, 30, 26), 'ground'), face(disc(48, 30, 21)), face(disc(48, 30, 8), 'ground')];

export const BUSH = {
  'bush-torn': [...BUSH_RING, bad('M56 24q6 -6 10 -4M40 36q-6 6 -10 4', 4)],
  'bush-cracked': [
    ...BUSH_RING,
    bad(`${crack(55, 24, [5, -2], [3, -5])}${crack(41, 35, [-5, 2], [-3, 5])}${crack(48, 39, [2, 5], [-2, 5])}`, 1.5),
  ],
  'bush-loose': [
    face(disc(48, 30, 26), 'ground'),
    face(disc(48, 30, 21)),
    face(disc(54, 34, 8), 'ground', 'bad'),
    bad('M34 18l-8 -6M62 44l8 6'),
  ],
} satisfies Record<string, Drawing>;

const SHEET = face('M6 20H90V44H6Z', 'ground');

export const RUST = {
  'rust-surface': [
    SHEET,
    badFace(
      each(
        [
          [20, 28],
          [34, 36],
          [50, 26],
          [66, 34],
          [78, 27],
        ],
        (x, y) => disc(x, y, 2),
      ),
    ),
  ],
  'rust-scaling': [SHEET, bad('M14 24l10 -6l8 6M36 24l10 -7l9 7M58 24l8 -6l10 6', 2.5), badFace('M14 24h62v4H14Z')],
  'rust-holed': [SHEET, { d: 'M38 26l10 -3l10 5l-2 9l-12 2l-8 -6Z', face: 'ground', line: 'bad', width: 3 }],
  'rust-near-mounting': [
    SHEET,
    face(disc(48, 32, 9)),
    badFace(
      each(
        [
          [34, 28],
          [60, 24],
          [62, 38],
          [38, 40],
        ],
        (x, y) => disc(x, y, 3),
      ),
    ),
  ],
} satisfies Record<string, Drawing>;
