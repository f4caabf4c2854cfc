/** Codes that read as their own words: `oil-soaked` → `oil soaked`. Entries given beside them are the exceptions. */
import { recordOf } from '@weskopos/core';
export function spelt<Code extends string>(
  codes: readonly Code[],
  exceptions: Partial<Record<Code, string>> = {},
): Record<Code, string> {
  return { ...recordOf(codes, (code) => code.replaceAll('-', ' ')), ...exceptions };
}
