import {
  CLOSE_CALL_FACTOR,
  expectedAt,
  type Forecast,
  type MeterUnit,
  type Series,
  type Threshold,
} from '@weskopos/core';
import { scaleLinear } from 'd3-scale';
import { forecastSentence } from '@weskopos/words/forecastSentence';
import { amount, figure } from '@weskopos/words/show';
import { limitLines } from './limitLines';
import { LineChart } from './LineChart';

interface TrendChartProps {
  readonly series: Series;
  readonly forecast: Forecast;
  readonly thresholds: readonly Threshold[];
  readonly title: string;
  readonly unit: MeterUnit;
  /** What such parts wear on the fleet, per unit of the meter. */
  readonly peers: number;
}

/** How far the drawing looks ahead, as a share of what it looks back on. */
const AHEAD = 0.6;
const FAN_STEPS = 24;

/** Readings with their uncertainty over distance, the limits, and the line with its 80 % interval ahead. */
export function TrendChart({ series, forecast, thresholds, title, unit, peers }: TrendChartProps) {
  const { readings, measure } = series;
  const first = readings[0];
  const last = readings.at(-1);
  if (!first || !last) return null;
  const span = Math.max(unit === 'h' ? 20 : 1000, last.travelled - first.travelled);
  const offset = last.meter - last.travelled;
  const reach =
    forecast.status === 'running-out'
      ? Math.min(span * AHEAD * 2, Math.max(span * AHEAD, (forecast.distance.mid ?? 0) * 1.15))
      : span * AHEAD;
  const end = last.travelled + reach;
  const begun = series.ofPart[0];
  const limit = thresholds.find(({ grade }) => grade === 'fail')?.value ?? 0;
  return (
    <LineChart
      points={readings.map((reading) => ({
        key: reading.inspectionId,
        x: reading.travelled,
        y: reading.value,
        half: CLOSE_CALL_FACTOR * reading.u,
        joined: !reading.startsPart,
      }))}
      fan={
        forecast.status === 'needs-readings'
          ? []
          : Array.from({ length: FAN_STEPS + 1 }, (_, step) => {
              const x = last.travelled + (reach * step) / FAN_STEPS;
              return { x, ...expectedAt(forecast.line, x) };
            })
      }
      limits={limitLines(thresholds, measure)}
      peers={
        begun
          ? [
              { x: begun.travelled, y: begun.value },
              { x: end, y: begun.value - peers * (end - begun.travelled) },
            ]
          : null
      }
      x={[first.travelled - span * 0.04, end]}
      y={[0, Math.max(...readings.map(({ value }) => value)) * 1.12]}
      ticks={(domain, count) =>
        scaleLinear()
          .domain(domain)
          .ticks(count)
          .map((at) => ({
            at,
            word: unit === 'h' ? String(Math.round(at + offset)) : `${Math.round((at + offset) / 1000)}k`,
          }))
      }
      tickY={(value) => figure(measure, value)}
      spoken={`${title}: ${readings.map(({ value }) => amount(measure, value)).join(', ')}. ${forecastSentence(forecast, measure, limit, unit)}`}
    />
  );
}
