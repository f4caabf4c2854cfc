import { MEASURE_CODES, type Rulebook } from '@weskopos/core';

/** The rules with a repeatability taken over from the scorecard, `tread:0.14`; as they were where it says nothing sound. */
export function withRepeat(rulebook: Rulebook, repeat: string | undefined): Rulebook {
  const [code, told] = (repeat ?? '').split(':');
  const measure = MEASURE_CODES.find((one) => one === code);
  const sigma = Number(told);
  if (!measure || !(sigma > 0)) return rulebook;
  const { house } = rulebook;
  return { ...rulebook, house: { ...house, repeatability: { ...house.repeatability, [measure]: sigma } } };
}
