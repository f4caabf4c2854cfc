import { level as say } from './en/level';
import { amount } from './show';

/** So near a mark it is at it: no eye reads a stick finer. */
const AT_MARK = 0.05;

/**
 * Where a level stands, as one says it beside the stick: in litres from the nearer outside mark where the span is known,
 * else in words.
 *
 * @param level share between the marks: 0 the lower, 1 the upper
 */
export function levelWords(level: number, spanL: number | null): string {
  if (Math.abs(level - 1) <= AT_MARK) return say.atTop;
  if (Math.abs(level) <= AT_MARK) return say.atLower;
  if (spanL === null) return plainWords(level);
  const litres = (share: number) => amount('volume', Math.abs(share) * spanL);
  if (level > 1) return say.overTop(litres(level - 1));
  return level < 0 ? say.underLower(litres(level)) : say.underTop(litres(1 - level));
}

function plainWords(level: number): string {
  if (level > 1) return say.over;
  if (level < 0) return level < -0.2 ? say.farUnder : say.justUnder;
  if (level < 0.25) return say.justOver;
  if (level > 0.75) return say.nearTop;
  return say.between;
}
