import type { Rulebook } from '@weskopos/core';

/** A draft as the next version of the rules: each sheet that was edited gets its own next version and its day. */
export function nextRulebook(draft: Rulebook, newest: Rulebook, today: string): Rulebook {
  const before = new Map(newest.sheets.map((sheet) => [sheet.code, sheet]));
  return {
    ...draft,
    version: newest.version + 1,
    sheets: draft.sheets.map((sheet) => {
      const old = before.get(sheet.code);
      if (!old || JSON.stringify(old) === JSON.stringify(sheet)) return sheet;
      return { ...sheet, version: old.version + 1, validFrom: today };
    }),
  };
}
