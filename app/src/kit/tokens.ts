import { kit as say } from '@weskopos/words/en/pages/kit';

/** Colours, sizes and spaces of the whole app; both themes. Change a token, never a spot. */
export interface Palette {
  readonly ground: string;
  readonly panel: string;
  readonly card: string;
  readonly rule: string;
  /** Edge of what is typed into: 3 : 1 against what lies on either side. */
  readonly edge: string;
  readonly ink: string;
  readonly soft: string;
  readonly pass: string;
  readonly passWash: string;
  readonly advisory: string;
  readonly advisoryWash: string;
  readonly fail: string;
  readonly failWash: string;
  readonly unseen: string;
  readonly unseenWash: string;
  readonly forecast: string;
  readonly forecastWash: string;
  /** Words on a filled petrol, ochre or plum ground. */
  readonly onFill: string;
}

export const PAPER: Palette = {
  ground: '#F5F1E8',
  panel: '#ECE5D6',
  card: '#FFFDF8',
  rule: '#D9D1C1',
  edge: '#857F72',
  ink: '#1C2630',
  soft: '#55606B',
  pass: '#0E5A63',
  passWash: '#DBE9E7',
  advisory: '#8F5A06',
  advisoryWash: '#F5E6C6',
  fail: '#9A1B47',
  failWash: '#F6DCE4',
  unseen: '#5A6570',
  unseenWash: '#E7E3DA',
  forecast: '#3B4C97',
  forecastWash: '#DDE1F1',
  onFill: '#FFFDF8',
};

export const PIT: Palette = {
  ground: '#12181E',
  panel: '#171F26',
  card: '#1C252D',
  rule: '#35424D',
  edge: '#71808D',
  ink: '#EFEADF',
  soft: '#A9B4BD',
  pass: '#62BEC4',
  passWash: '#17363A',
  advisory: '#E6AC45',
  advisoryWash: '#3B2D12',
  fail: '#F27AA0',
  failWash: '#42192A',
  unseen: '#93A0AB',
  unseenWash: '#263039',
  forecast: '#9AA8F0',
  forecastWash: '#262C4A',
  onFill: '#12181E',
};

export const SIZE = { s: 13, m: 15, l: 17, xl: 20, h3: 24, h2: 30, h1: 40 } as const;
export const SPACE = { xs: 4, s: 8, m: 12, l: 16, xl: 24 } as const;
export const CORNER = { s: 8, m: 12 } as const;
export const TOUCH = { least: 48, hand: 56 } as const;
export const FONT = {
  word: say.atkinson,
  wordStrong: 'AtkinsonStrong',
  label: say.barlow,
  labelStrong: 'BarlowStrong',
} as const;
/** From this width two or three panes stand side by side. */
export const WIDE = 900;
