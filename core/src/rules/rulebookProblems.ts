import { isOwnCode } from '../house/ownPoint';
import { sheetProblems, type SheetProblem } from '../limits/limitSheet';
import type { Rulebook } from './rulebook';

/** What a rulebook gets wrong: the field, and why. */
export interface RulebookProblem {
  /** Path from the rulebook, e.g. `sheets.0.rows.3.thresholds.1.value`. */
  readonly field: string;
  readonly code:
    | SheetProblem['code']
    | 'no-points'
    | 'code-twice'
    | 'no-such-sheet'
    | 'factor-range'
    | 'no-sheet'
    | 'own-unnamed'
    | 'own-twice';
}

/** Checks a rulebook as a whole: sheets whose fail lies inside advisory, templates without points, names given twice. */
export function rulebookProblems({ sheets, templates, house }: Rulebook): RulebookProblem[] {
  const own = Object.entries(house.ownPoints).map(([code, { name }]) => ({ code, name: name.trim().toLowerCase() }));
  const twice = (codes: readonly string[], list: string): RulebookProblem[] =>
    codes.flatMap((code, index) =>
      codes.indexOf(code) < index ? [{ field: `${list}.${index}.code`, code: 'code-twice' }] : [],
    );
  return [
    ...(sheets.length === 0 ? [{ field: 'sheets', code: 'no-sheet' } as const] : []),
    ...sheets.flatMap((sheet, index) =>
      sheetProblems(sheet).map((problem) => ({ ...problem, field: `sheets.${index}.${problem.field}` })),
    ),
    ...templates.flatMap((template, index): RulebookProblem[] =>
      template.points.length === 0 ? [{ field: `templates.${index}.points`, code: 'no-points' }] : [],
    ),
    ...twice(
      sheets.map(({ code }) => code),
      'sheets',
    ),
    ...twice(
      templates.map(({ code }) => code),
      'templates',
    ),
    ...(sheets.some(({ code }) => code === house.sheet)
      ? []
      : [{ field: 'house.sheet', code: 'no-such-sheet' } as const]),
    ...own.flatMap(({ code, name }, index): RulebookProblem[] => {
      const field = `house.ownPoints.${code}.name`;
      if (name === '') return [{ field, code: 'own-unnamed' }];
      return own.findIndex((one) => one.name === name) < index ? [{ field, code: 'own-twice' }] : [];
    }),
    ...templates.flatMap(({ points }, index): RulebookProblem[] =>
      points.some((code) => isOwnCode(code) && house.ownPoints[code] === undefined)
        ? [{ field: `templates.${index}.points`, code: 'own-unnamed' }]
        : [],
    ),
    ...(['hardUseFactor', 'lookAhead'] as const).flatMap((share): RulebookProblem[] =>
      house[share] > 0 && house[share] <= 1 ? [] : [{ field: `house.${share}`, code: 'factor-range' }],
    ),
  ];
}
