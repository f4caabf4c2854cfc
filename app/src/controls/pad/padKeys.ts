import type { PadAsks } from '../../kit/pad';

/** What a key does. */
export type PadKey =
  | { readonly kind: 'text'; readonly label: string; readonly hint?: string; readonly text: string }
  | { readonly kind: 'erase' | 'next' | 'keyboard' };

const text = (label: string, typed = label, hint?: string): PadKey => ({
  kind: 'text',
  label,
  text: typed,
  ...(hint ? { hint } : {}),
});

interface PadWords {
  readonly nextFigure: string;
  readonly over: string;
  readonly under: string;
  readonly minus: string;
  readonly fraction: string;
}

/**
 * The keypad's rows for a field: figures as on a telephone, and beside them what this field takes.
 *
 * @returns four rows of four keys; extras in a fifth where the field takes more than three
 */
export function padRows(asks: PadAsks, words: PadWords): readonly (readonly PadKey[])[] {
  const extras = [
    ...(asks.line ? [text('␣', ' ', words.nextFigure)] : []),
    ...(asks.signed ? [text('−', '-', words.minus)] : []),
    ...(asks.bounds ? [text('>', '>', words.over), text('<', '<', words.under)] : []),
    ...(asks.fraction ? [text('⁄', '/', words.fraction)] : []),
    ...(asks.units ?? []).map((unit) => text(unit, ` ${unit}`)),
  ];
  const aside = (n: number): readonly PadKey[] => (extras[n] ? [extras[n]] : []);
  return [
    [text('1'), text('2'), text('3'), { kind: 'erase' }],
    [text('4'), text('5'), text('6'), ...aside(0)],
    [text('7'), text('8'), text('9'), ...aside(1)],
    [{ kind: 'keyboard' }, text('0'), text('.'), { kind: 'next' }],
    ...(extras.length > 2 ? [extras.slice(2)] : []),
  ];
}
