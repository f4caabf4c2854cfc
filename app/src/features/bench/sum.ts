import { parseMeasure, type Unit } from '@weskopos/core';
import { bench as say } from '@weskopos/words/en/pages/bench';

/** One figure of a sum, or one choice. */
export type SumField =
  | {
      readonly name: string;
      readonly label: string;
      /** Unit it is typed in when none is written. */
      readonly unit: Unit;
      /** Allowed, stored unit. */
      readonly least: number;
      readonly most: number;
      /** What stands there at first, as it would be typed; empty for nothing. */
      readonly usual: string;
      /** May be left empty. */
      readonly optional?: true;
    }
  | { readonly name: string; readonly label: string; readonly options: readonly string[]; readonly usual: string };

/** What was given, figures in stored units. */
export interface SumValues {
  number(name: string): number;
  /** Null for an optional figure left empty. */
  maybe(name: string): number | null;
  text(name: string): string;
  /** The option chosen. Throws a RangeError for none of them. */
  choice<Option extends string | number>(name: string, options: readonly Option[]): Option;
}

/** A bench sum: its fields, what the core makes of them, and what stands behind it. */
export interface Sum {
  readonly code: string;
  readonly title: string;
  readonly formula: string;
  readonly source: string;
  readonly fields: readonly SumField[];
  /** The answer in lines; the core's own refusals are told as they are. */
  readonly work: (values: SumValues) => readonly string[];
}

/** What a bench sum came to, or why it did not. */
export type SumAnswer =
  | { readonly status: 'lines'; readonly lines: readonly string[] }
  | { readonly status: 'problems'; readonly problems: Readonly<Record<string, string>> }
  | { readonly status: 'refused'; readonly why: string };

/** What a sum answers to what was typed: its lines, or what is wrong at which field. */
export function answerOf(sum: Sum, typed: Readonly<Record<string, string>>): SumAnswer {
  const problems: Record<string, string> = {};
  const numbers = new Map<string, number | null>();
  for (const field of sum.fields) {
    if ('options' in field) continue;
    const parsed = parseMeasure(typed[field.name] ?? '', field.unit);
    const allowed = say.range(
      field.least,
      field.most,
      field.unit === 'step' || field.unit === 'level' ? '' : ` ${field.unit}`,
    );
    if (parsed.status === 'empty' && field.optional) numbers.set(field.name, null);
    else if (parsed.status !== 'value')
      problems[field.name] = parsed.status === 'empty' ? `Wanted: ${allowed}.` : say.aFigure(allowed);
    else if (parsed.stored < field.least || parsed.stored > field.most) problems[field.name] = `Allowed: ${allowed}.`;
    else numbers.set(field.name, parsed.stored);
  }
  if (Object.keys(problems).length > 0) return { status: 'problems', problems };
  const maybe = (name: string) => numbers.get(name) ?? null;
  const values: SumValues = {
    maybe,
    number: (name) => maybe(name) ?? NaN,
    text: (name) => typed[name] ?? '',
    choice: (name, options) => chosenOf(options, typed[name]),
  };
  try {
    return { status: 'lines', lines: sum.work(values) };
  } catch (error) {
    if (error instanceof RangeError) return { status: 'refused', why: error.message };
    throw error;
  }
}

function chosenOf<Option extends string | number>(options: readonly Option[], text: string | undefined): Option {
  const chosen = options.find((one) => String(one) === text);
  if (chosen === undefined) throw new RangeError(`Choose one of ${options.join(', ')}.`);
  return chosen;
}

/** A figure a sum asks for, with the range it may have, in the unit it is stored in. */
export const figureField = (
  name: string,
  label: string,
  unit: Unit,
  least: number,
  most: number,
  usual: string | number,
  optional = false,
): SumField => ({
  name,
  label,
  unit,
  least,
  most,
  usual: String(usual),
  ...(optional ? { optional: true as const } : {}),
});
/** A choice a sum asks for; the first is the usual one. */
export const choiceField = (name: string, label: string, options: readonly string[]): SumField => ({
  name,
  label,
  options,
  usual: options[0] ?? '',
});
