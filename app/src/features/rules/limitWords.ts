import { CATALOGUE, MEASURES, type LimitRow, type System, type Threshold } from '@weskopos/core';
import { words } from '@weskopos/words/en';
import { everyday } from '@weskopos/words/en/everyday';
import { capital, pointName } from '@weskopos/words/show';
import { plainFigure } from './plainFigure';
import { rules as say } from '@weskopos/words/en/pages/rules';

/** The points a limit judges; those read at every wheel or axle first. */
export function pointsOf({ measure, applies }: LimitRow): readonly (typeof CATALOGUE)[number][] {
  return CATALOGUE.filter(
    ({ code, measures }) =>
      measures.some((slot) => slot.measure === measure) && (applies.points?.includes(code) ?? true),
  ).sort((a, b) => Number(b.repeats !== null) - Number(a.repeats !== null));
}

export const systemsOf = (row: LimitRow): readonly System[] => [...new Set(pointsOf(row).map(({ system }) => system))];

/** Names told at most; more are counted. */
const MOST_NAMES = 3;

/** What is judged: `Tread, spare wheel: depth`. */
export function judgedWords(row: LimitRow): string {
  const names = pointsOf(row).map(({ code }, index) => (index === 0 ? pointName(code) : pointName(code).toLowerCase()));
  const told =
    names.length > MOST_NAMES ? `${names.slice(0, 2).join(', ')} ${say.andPoints(names.length - 2)}` : names.join(', ');
  return [told, words.measure[row.measure].toLowerCase()].filter(Boolean).join(': ');
}

/** Whom it governs: classes, axles, season; every vehicle without. */
export function appliesWords({ applies }: LimitRow): string {
  const told = [
    applies.classes?.map((one) => words.vehicleClass[one].toLowerCase()).join(', '),
    applies.axles && say.axle(applies.axles),
    applies.wheels && say.wheels(applies.wheels),
    applies.season && say.season[applies.season],
    applies.brakeFluid,
    applies.charging && say.charging(applies.charging),
    applies.batteries?.map((one) => words.battery[one].toLowerCase()).join(', '),
  ].filter(Boolean);
  return told.length > 0 ? capital(told.join('; ')) : say.everyVehicle;
}

/** The unit a limit's figures are in; empty where they are shares or marks. */
export function limitUnit({ kind, measure }: LimitRow): string {
  const { unit } = MEASURES[measure];
  return kind !== 'value' || unit === 'step' || unit === 'level' ? '' : unit;
}

/** One edge: `under 1.6`. */
export const edgeWords = ({ bad, inclusive, value }: Threshold): string =>
  `${bad === 'below' ? (inclusive ? say.downTo : say.under) : inclusive ? say.from : say.over} ${plainFigure(value)}`;

/** What the limit does, in one sentence. */
export function limitSentence(row: LimitRow): string {
  const unit = limitUnit(row);
  const edges = row.thresholds.map(
    (edge) =>
      `${words.grade[edge.grade].toLowerCase()} ${`${edgeWords(edge)} ${unit}`.trim()} (${words.basis[edge.basis]})`,
  );
  return say.limitSentence(
    judgedWords(row),
    words.limitKind[row.kind],
    edges.join(', '),
    appliesWords(row).toLowerCase(),
  );
}

/** Whether a limit is meant by what was typed: every word of it in its names, everyday words, classes, basis or source. */
export function isMeant(row: LimitRow, wanted: string): boolean {
  const known = [
    limitSentence(row),
    ...pointsOf(row).map(({ code }) => `${pointName(code)} ${everyday[code] ?? ''}`),
    ...systemsOf(row).map((system) => words.system[system]),
    ...row.thresholds.map(({ source }) => source),
  ]
    .join(' ')
    .toLowerCase();
  return wanted
    .toLowerCase()
    .split(/\s+/)
    .every((word) => known.includes(word));
}
