import canonicalize from 'canonicalize';

/** Longest value told whole. */
const MOST_TOLD = 60;

/** Where two records first differ, and what each says there; null where they say the same. */
export function firstDifference(signed: unknown, here: unknown, path = ''): string | null {
  if (canonicalize(signed ?? null) === canonicalize(here ?? null)) return null;
  if (isBranch(signed) && isBranch(here)) {
    for (const key of new Set([...Object.keys(signed), ...Object.keys(here)])) {
      const found = firstDifference(signed[key], here[key], path === '' ? key : `${path}.${key}`);
      if (found !== null) return found;
    }
  }
  return `${path}: ${told(signed)} was signed, ${told(here)} is here`;
}

const isBranch = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null;

function told(value: unknown): string {
  if (value === undefined) return 'nothing';
  const text = canonicalize(value) ?? '';
  return text.length > MOST_TOLD ? `${text.slice(0, MOST_TOLD)}…` : text;
}
