/** Codes that read as their own words: `oil-soaked` → `oil soaked`. Entries given beside them are the exceptions. */
export function spelt<Code extends string>(
  codes: readonly Code[],
  exceptions: Partial<Record<Code, string>> = {},
): Record<Code, string> {
  const plain = Object.fromEntries(codes.map((code) => [code, code.replaceAll('-', ' ')])) as Record<Code, string>;
  return { ...plain, ...exceptions };
}
