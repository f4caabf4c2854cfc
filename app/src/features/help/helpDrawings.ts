import { VOCABULARIES, type Vocabulary, type Word } from '@weskopos/core';
import type { Drawing } from './drawing';
import { BELT, HOSE_LOOKS } from './drawings/belt';
import { BOOT, DAMPER_LOOKS, SPRING } from './drawings/boot';
import { BRAKE, BRAKE_HOSE, DISC_LOOKS } from './drawings/brake';
import { FLUID_LOOKS, SMOKE } from './drawings/fluid';
import { BUSH, EXHAUST, GLASS, PLUG_LOOKS, RUST, TERMINAL } from './drawings/more';
import { TYRE, TYRE_WALL } from './drawings/tyre';

type Drawn = { readonly [V in Vocabulary]?: Readonly<Partial<Record<Word, Drawing>>> };

/** What a word looks like on the kind of part it is said of. */
export const HELP_DRAWINGS: Drawn = {
  tyre: TYRE,
  'tyre-wall': TYRE_WALL,
  belt: BELT,
  hose: HOSE_LOOKS,
  boot: BOOT,
  spring: SPRING,
  damper: DAMPER_LOOKS,
  brake: BRAKE,
  disc: DISC_LOOKS,
  'brake-hose': BRAKE_HOSE,
  fluid: FLUID_LOOKS,
  smoke: SMOKE,
  exhaust: EXHAUST,
  glass: GLASS,
  plug: PLUG_LOOKS,
  terminal: TERMINAL,
  bush: BUSH,
  rust: RUST,
  cap: { milky: FLUID_LOOKS.milky, foam: FLUID_LOOKS.foam, sludge: FLUID_LOOKS.sludge },
  calliper: { 'stuck-slide': BRAKE['stuck-slide'], 'boot-torn': BOOT.split },
};

/** The drawing of a word; undefined where there is none. */
export const drawingOf = (vocabulary: Vocabulary, word: Word): Drawing | undefined => HELP_DRAWINGS[vocabulary]?.[word];

/** The words of a part that are drawn, in the order they are said. */
export const drawnWords = (vocabulary: Vocabulary): readonly Word[] =>
  VOCABULARIES[vocabulary].filter((word) => drawingOf(vocabulary, word) !== undefined);
