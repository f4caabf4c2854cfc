import { badFace, bad, box, disc, each, face, line, type Drawing, type Mark, type Tone } from '../drawing';

/** A sample in its glass. */
const GLASS = line('M30 6V48Q30 56 38 56H58Q66 56 66 48V6', 'ink', 2);
const filled = (tone: Tone): Mark => ({ d: 'M31 20H65V48Q65 55 58 55H38Q31 55 31 48Z', face: tone });
const SPECKS = [
  [38, 28],
  [46, 34],
  [56, 28],
  [60, 40],
  [40, 44],
  [50, 48],
  [34, 36],
  [58, 50],
] as const;

export const FLUID_LOOKS = {
  clear: [line('M31 20H65', 'soft'), GLASS],
  darkened: [filled('part'), line('M31 20H65', 'soft'), line('M36 28L44 20M36 40L56 20M42 50L62 30', 'soft', 1), GLASS],
  black: [filled('ink'), GLASS],
  milky: [
    filled('part'),
    line('M33 28q8 -6 16 0t16 0M33 38q8 -6 16 0t16 0M35 48q7 -6 14 0t14 0', 'ground', 3),
    bad('M31 20q8 -5 17 0t17 0'),
    GLASS,
  ],
  foam: [
    filled('part'),
    bad(
      each(
        [
          [36, 18],
          [43, 14],
          [50, 18],
          [57, 14],
          [62, 19],
          [46, 21],
        ],
        (x, y) => disc(x, y, 4),
      ),
      1.5,
    ),
    GLASS,
  ],
  'glitter-fine': [filled('part'), badFace(each(SPECKS, (x, y) => disc(x, y, 1.2))), GLASS],
  'glitter-flakes': [
    filled('part'),
    badFace(each(SPECKS.slice(0, 6), (x, y) => `M${x} ${y - 4}l4 3l-2 4l-4 -2Z`)),
    GLASS,
  ],
  'rust-coloured': [filled('bad'), GLASS],
  sludge: [
    line('M31 20H65', 'soft'),
    filled('ground'),
    badFace('M31 42q6 -4 12 0t12 -1t10 1V48Q65 55 58 55H38Q31 55 31 48Z'),
    GLASS,
  ],
  particles: [filled('part'), { d: each(SPECKS.slice(0, 5), (x, y) => box(x - 2, y - 2, 4, 5)), face: 'ink' }, GLASS],
} satisfies Record<string, Drawing>;

/** A tail pipe, and what comes out. */
const PIPE = face('M2 38H34V50H2Z');
const cloud = (tone: Tone, edge: Tone = tone): Mark => ({
  d: 'M38 46C34 34 46 28 52 34C54 20 72 20 74 32C86 28 94 40 86 48C80 56 44 56 38 46Z',
  face: tone,
  line: edge,
  width: 2,
});

export const SMOKE = {
  'blue-at-start': [
    PIPE,
    { d: 'M38 48C36 40 44 38 48 42C50 36 58 38 58 44C60 50 42 54 38 48Z', face: 'blue' },
    line('M70 20V32H78', 'ink', 2),
    line(disc(72, 28, 10), 'ink', 1.5),
  ],
  'blue-warm': [PIPE, cloud('blue')],
  'white-persists': [PIPE, cloud('ground', 'soft')],
  'black-on-revs': [PIPE, cloud('ink'), bad('M66 14l8 -8M66 6h8v8', 2)],
} satisfies Record<string, Drawing>;
