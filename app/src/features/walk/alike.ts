import type { Doubt } from '@weskopos/core';

/** What is doubted alike is asked once. */
export function alike(doubts: readonly Doubt[]): readonly (readonly Doubt[])[] {
  const kind = ({ code, looksLike }: Doubt) => `${code} ${looksLike ?? ''}`;
  return [...new Set(doubts.map(kind))].map((one) => doubts.filter((doubt) => kind(doubt) === one));
}
