import { BUILT_IN_TEMPLATES, templateBy, type Template } from '../catalogue/templates';
import { BASELINE, US_LIGHT } from '../limits/baseline';
import type { LimitSheet } from '../limits/limitSheet';
import { USUAL_HOUSE_RULES, type HouseRules } from '../house/houseRules';

/**
 * A workshop's rules as they stood at one time: limit sheets, templates and house rules under one version number.
 * Editing makes the next version; an inspection keeps the number it was made under.
 */
export interface Rulebook {
  readonly version: number;
  readonly sheets: readonly LimitSheet[];
  readonly templates: readonly Template[];
  readonly house: HouseRules;
}

/** What every workshop begins with. */
export const BUILT_IN_RULEBOOK: Rulebook = {
  version: 0,
  sheets: [BASELINE, US_LIGHT],
  templates: BUILT_IN_TEMPLATES,
  house: USUAL_HOUSE_RULES,
};

/** The rules one inspection is judged by. */
export interface Rules {
  readonly version: number;
  readonly sheet: LimitSheet;
  readonly template: Template;
  readonly house: HouseRules;
}

/** The rules of a template under a rulebook. A sheet the rulebook does not hold falls back to its first. */
export function rulesOf(rulebook: Rulebook, template: string): Rules {
  const sheet = rulebook.sheets.find(({ code }) => code === rulebook.house.sheet) ?? rulebook.sheets[0] ?? BASELINE;
  return {
    version: rulebook.version,
    sheet,
    template: templateBy(rulebook.templates, template),
    house: rulebook.house,
  };
}

/** The rulebook of a version among those known; the built-in one for 0, the nearest older one where it is not known here. */
export function rulebookAt(known: readonly Rulebook[], version: number): Rulebook {
  const older = known.filter((one) => one.version <= version).sort((a, b) => b.version - a.version);
  return older[0] ?? BUILT_IN_RULEBOOK;
}

/** The rulebook that new visits are made under. */
export function newestRulebook(known: readonly Rulebook[]): Rulebook {
  return rulebookAt(known, Infinity);
}
