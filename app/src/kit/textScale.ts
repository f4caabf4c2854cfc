/** A browser's own text size, px, where nobody asked for another. */
const USUAL = 16;
/** Beyond twice its size a word no longer fits the screens it is on. */
const MOST = 2;

const asked =
  typeof document === 'undefined' ? USUAL : Number.parseFloat(getComputedStyle(document.documentElement).fontSize);

/** How much larger than usual this device's owner wants text, 1 to 2; read once, when the app is loaded. */
const TEXT_SCALE = Number.isFinite(asked) ? Math.min(MOST, Math.max(1, asked / USUAL)) : 1;

/** A size of text as this device's owner wants it, px. Drawings keep theirs: they are to scale. */
export const scaled = (px: number): number => Math.round(px * TEXT_SCALE);

/** A line that is cut where it is too long; text that is wanted larger is never cut. */
export const ONE_LINE: { readonly numberOfLines?: number } = TEXT_SCALE > 1 ? {} : { numberOfLines: 1 };

/** How broad the spine is, px: as wide as the walk's line of stops; with words beside the marks on a wide page. */
export const SPINE = {
  phone: Math.round(54 + 34 * (TEXT_SCALE - 1)),
  wide: Math.round(148 + 110 * (TEXT_SCALE - 1)),
} as const;
