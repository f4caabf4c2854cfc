import type { Ink } from '@weskopos/core/decks/marks';

/** What a report is printed with: dark on white, told apart by shape as well. */
export const TINT: Readonly<Record<Ink | 'wash', string>> = {
  ink: '#1C2630',
  soft: '#55606B',
  rule: '#B9B2A3',
  edge: '#857F72',
  panel: '#ECE5D6',
  card: '#FFFFFF',
  pass: '#0E5A63',
  advisory: '#8F5A06',
  fail: '#9A1B47',
  unseen: '#5A6570',
  wash: '#F6DCE4',
};
