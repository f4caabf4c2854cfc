/** How a price was read. */
export type PriceRead =
  | { readonly status: 'empty' | 'unreadable' | 'negative' }
  /** `1.234`: a thousand and more, or one and a bit? */
  | { readonly status: 'doubtful'; readonly byPoint: number; readonly byComma: number }
  | { readonly status: 'price'; readonly price: number };

/** Which sign stands before the cents. */
export type DecimalSign = 'point' | 'comma';

/** Signs of money and the letters of currencies, before or behind. */
const MONEY = /^[\p{Sc}\p{L}. ]*?(?=[-−\d.,])|[\p{Sc}\p{L}. ]*$/gu;
/** What groups thousands besides point and comma. */
const GROUPING = /[\s\u00a0\u202f'’]/g;

/**
 * Reads a price as people write them: `1.234,50 €`, `£ 1,234.50`, `12,5`, `CHF 1'200.-`. Both signs tell which is which; one
 * alone with exactly three digits behind it could be either, and is not guessed.
 *
 * @param decimal how this list writes them, where that is known
 */
export function readPrice(text: string, decimal: DecimalSign | null): PriceRead {
  const bare = text
    .trim()
    .replace(MONEY, '')
    .replace(GROUPING, '')
    .replace('−', '-')
    .replace(/[.,]-+$/, '');
  if (bare === '') return { status: text.trim() === '' ? 'empty' : 'unreadable' };
  if (!/^-?[\d.,]+$/.test(bare) || !/\d/.test(bare)) return { status: 'unreadable' };
  if (bare.startsWith('-')) return { status: 'negative' };
  const by = (sign: DecimalSign): number | null => {
    const [point, group] = sign === 'point' ? ['.', ','] : [',', '.'];
    const [whole = '', cents = '', ...more] = bare.split(point);
    const groups = whole.split(group);
    const isGrouped =
      groups.slice(1).every((one) => /^\d{3}$/.test(one)) &&
      /^\d{0,3}$/.test(groups.length > 1 ? (groups[0] ?? '') : '');
    if (more.length > 0 || cents.includes(group) || !isGrouped) return null;
    return Number(`${groups.join('') || '0'}.${cents || '0'}`);
  };
  const [byPoint, byComma] = [by('point'), by('comma')];
  if (decimal !== null) {
    const price = decimal === 'point' ? byPoint : byComma;
    return price === null ? { status: 'unreadable' } : { status: 'price', price };
  }
  if (byPoint === null && byComma === null) return { status: 'unreadable' };
  if (byPoint === null || byComma === null || byPoint === byComma)
    return { status: 'price', price: byPoint ?? byComma ?? 0 };
  return { status: 'doubtful', byPoint, byComma };
}

/** How a column of prices writes its cents, by those that leave no doubt; null where none tells. */
export function decimalOf(texts: readonly string[]): DecimalSign | null {
  for (const text of texts) {
    const [point, comma] = [readPrice(text, 'point'), readPrice(text, 'comma')];
    if (readPrice(text, null).status !== 'price' || !/[.,]/.test(text)) continue;
    if (point.status === 'price' && comma.status !== 'price') return 'point';
    if (comma.status === 'price' && point.status !== 'price') return 'comma';
  }
  return null;
}
