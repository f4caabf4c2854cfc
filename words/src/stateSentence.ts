import { capacityL, spanAt, type SpecSheet, type StateTrend } from '@weskopos/core';
import { litresUntilThin } from '@weskopos/core/outlook';
import { dateRange, heldWords } from './forecastSentence';
import { levelWords } from './levelWords';
import { amount, day, figure, figureIn, unitOf } from './show';

/** A state's figure in the terms of its limits. */
export function stateFigure({ measure, told }: Pick<StateTrend, 'measure' | 'told'>, value: number): string {
  return told === 'of-rated' ? `${share(value)} of rated` : amount(measure, value);
}

/** A state's figure with what it means: of a level where it stands between its marks. */
export function stateWords(trend: Pick<StateTrend, 'measure' | 'told' | 'point'>, value: number, spec: Spec): string {
  const told = stateFigure(trend, value);
  return trend.measure === 'level' ? `${told}, ${levelWords(value, spanAt(trend.point, spec))}` : told;
}

/** What of the spec sheet a state is told by. */
type Spec = Pick<SpecSheet, 'fluids' | 'stickSpanL'>;

/** The same as short as it goes, for the edge of a drawing. */
export function stateEdge({ measure, told }: Pick<StateTrend, 'measure' | 'told'>, value: number): string {
  return told === 'of-rated' ? share(value) : figure(measure, value);
}

const share = (value: number) => `${Math.round(value * 100)} %`;

/** What the figures of a state are, where that is not plain. */
export const STATE_TOLD: Readonly<Record<StateTrend['told'], string>> = {
  'as-read': '',
  'at-20': 'brought to 20 °C, so that a cold day is no loss',
  'of-rated': 'share of the rated current, charged batteries only',
};

/** What a state does, and when what ages runs out. */
export function stateSentence(trend: StateTrend, spec: Spec): string {
  if (trend.forecast) return ageSentence(trend, trend.forecast);
  if (trend.measure === 'glycol') return mixtureSentence(trend, spec);
  if (trend.lostPerMonth === null) return trend.readings.length < 2 ? 'Read once.' : 'Holds.';
  const since = trend.readings.findLast(({ startsLine }) => startsLine)?.at ?? trend.readings[0]?.at ?? '';
  const put = trend.readings.some(({ startsLine }) => startsLine) ? 'it was put right on ' : '';
  return `Loses ${lossFigure(trend, trend.lostPerMonth, spec)} a month since ${put}${day(since)}.`;
}

/** A loss has no zero of its own: only its size is told in the workshop's unit. */
function lossFigure({ measure, point }: StateTrend, lost: number, spec: Spec): string {
  if (measure !== 'level') return `${figure(measure, lost)} ${unitOf(measure)}`;
  const span = spanAt(point, spec);
  return span === null ? `${figureIn('level', lost, 2)} of the marks’ span` : amount('volume', lost * span);
}

function ageSentence(trend: StateTrend, forecast: NonNullable<StateTrend['forecast']>): string {
  if (forecast.status === 'needs-readings') return 'Needs a reading; has none.';
  const limit = trend.limits.find(({ grade }) => grade === 'fail')?.value ?? 0;
  const edge = stateFigure(trend, limit);
  const by =
    forecast.from === 'fleet' ? ' Told by what is usual: one reading, and nobody wrote down when it was renewed.' : '';
  if (forecast.status === 'reached') return `Is past ${edge} now.`;
  if (forecast.status === 'far-off') return `Does not reach ${edge} in any time one plans for.${by}`;
  return `Reaches ${edge} ${dateRange(forecast.at, forecast.days)} (8 in 10).${heldWords(forecast)}${by}`;
}

function mixtureSentence({ readings, limits }: StateTrend, spec: Pick<SpecSheet, 'fluids'>): string {
  const [now, most] = [readings.at(-1)?.value ?? 0, Math.max(...readings.map(({ value }) => value))];
  const u = readings.at(-1)?.u ?? 0;
  const thinned = most - now > 3 * u ? ` Was ${amount('glycol', most)}: thinned by what was topped up.` : '';
  const capacity = capacityL(spec, 'coolant');
  const next = limits.filter(({ bad, value }) => bad === 'below' && value < now).sort((a, b) => b.value - a.value)[0];
  const litres =
    capacity !== null && next
      ? ` About ${figureIn('L', litresUntilThin(now, next.value, capacity), 1)} L more of plain water and it is under ${amount('glycol', next.value)} (${next.grade}).`
      : '';
  return `Changes only by what is put in.${thinned}${litres}`;
}
