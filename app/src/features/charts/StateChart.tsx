import { CLOSE_CALL_FACTOR, type StateTrend } from '@weskopos/core';
import { scaleTime } from 'd3-scale';
import { words } from '@weskopos/words/en';
import { stateEdge, stateFigure } from '@weskopos/words/stateSentence';
import { LineChart } from './LineChart';
import { dateWords } from '@weskopos/words/show';

interface StateChartProps {
  readonly trend: StateTrend;
  readonly title: string;
  /** What the drawing says, in a sentence. */
  readonly sentence: string;
}

const DAY_MS = 86_400_000;
/** Least stretch drawn, days, and the share of what is looked back on that is looked ahead. */
const LEAST_SPAN = 180;
const AHEAD = 0.8;

/** A state over time: what was found, what it was put to, its limits, and how it ages. */
export function StateChart({ trend, title, sentence }: StateChartProps) {
  const { readings, limits, forecast } = trend;
  const times = readings.map(({ at }) => Date.parse(at));
  const [first, last] = [times[0], times.at(-1)];
  if (first === undefined || last === undefined) return null;
  const span = Math.max(LEAST_SPAN * DAY_MS, last - first);
  const fan =
    forecast && forecast.status !== 'needs-readings'
      ? forecast.path
          .map(({ days, value, half }) => ({
            x: last + days * DAY_MS,
            y: value,
            low: value - half,
            high: value + half,
          }))
          .filter(({ x }) => x <= last + span * AHEAD)
      : [];
  const end = fan.at(-1)?.x ?? last + span * 0.05;
  // Around what was read and its nearest limits: a pressure that fell from 240 to 225 fills the height.
  const shown = [
    ...readings.flatMap(({ value, u }) => [value - 2 * u, value + 2 * u]),
    ...limits.map(({ value }) => value),
    ...fan.map(({ y }) => y),
  ];
  const [low, high] = [Math.min(...shown), Math.max(...shown)];
  const room = (high - low) * 0.08;
  return (
    <LineChart
      points={readings.map(({ inspectionId, at, value, u, phase, startsLine }) => ({
        key: `${inspectionId}${phase}`,
        x: Date.parse(at),
        y: value,
        half: CLOSE_CALL_FACTOR * u,
        joined: !startsLine,
        byHand: phase === 'left',
      }))}
      fan={fan}
      limits={limits.map(({ grade, value, basis }) => ({
        grade,
        value,
        word: `${grade} ${stateEdge(trend, value)} ${words.basis[basis]}`,
      }))}
      x={[first - span * 0.04, end]}
      y={[low < 0 || low - room >= 0 ? low - room : 0, high + room]}
      ticks={(domain, count) => {
        const scale = scaleTime().domain(domain);
        return scale
          .ticks(count)
          .map((tick) => ({ at: tick.getTime(), word: dateWords(tick, tick.getMonth() === 0 ? 'year' : 'month') }));
      }}
      tickY={(value) => stateEdge(trend, value)}
      spoken={`${title}: ${readings.map(({ value }) => stateFigure(trend, value)).join(', ')}. ${sentence}`}
    />
  );
}
