import {
  CLOSE_CALL_FACTOR,
  expectedAt,
  type Forecast,
  type MeterUnit,
  type Series,
  type Threshold,
} from '@weskopos/core';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';
import { FONT, SIZE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { words } from '../../words/en';
import { amount, figure } from '../../words/show';
import { forecastSentence } from '../../words/forecastSentence';

interface TrendChartProps {
  readonly series: Series;
  readonly forecast: Forecast;
  readonly thresholds: readonly Threshold[];
  readonly title: string;
  readonly unit: MeterUnit;
  /** What such parts wear on the fleet, per unit of the meter. */
  readonly peers: number;
}

const HEIGHT = 280;
const EDGE = { left: 36, right: 12, top: 14, bottom: 30 } as const;
/** How far the drawing looks ahead, as a share of what it looks back on. */
const AHEAD = 0.6;
const FAN_STEPS = 24;

/** Readings with their uncertainty over distance, the limits, and the line with its 80 % interval ahead. */
export function TrendChart({ series, forecast, thresholds, title, unit, peers }: TrendChartProps) {
  const palette = usePalette();
  const [width, setWidth] = useState(0);
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
  const x = scaleLinear()
    .domain([first.travelled - span * 0.04, last.travelled + reach])
    .range([EDGE.left, Math.max(EDGE.left + 10, width - EDGE.right)]);
  const y = scaleLinear()
    .domain([0, Math.max(...readings.map(({ value }) => value)) * 1.12])
    .nice()
    .range([HEIGHT - EDGE.bottom, EDGE.top]);
  const fan = Array.from({ length: FAN_STEPS + 1 }, (_, step) => last.travelled + (reach * step) / FAN_STEPS).flatMap(
    (at) => {
      return forecast.status === 'needs-readings' ? [] : [{ at, ...expectedAt(forecast.line, at) }];
    },
  );
  const fanPath = area<(typeof fan)[number]>()
    .x(({ at }) => x(at))
    .y0(({ y: mid, half }) => y(Math.max(0, mid - half)))
    .y1(({ y: mid, half }) => y(Math.max(0, mid + half)))(fan);
  const fitPath = line<(typeof fan)[number]>()
    .x(({ at }) => x(at))
    .y(({ y: mid }) => y(Math.max(0, mid)))(fan);
  const begun = series.ofPart[0];
  const limit = thresholds.find(({ grade }) => grade === 'fail')?.value ?? 0;
  const spoken = `${title}: ${readings.map(({ value }) => amount(measure, value)).join(', ')}. ${forecastSentence(forecast, measure, limit, unit)}`;

  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)} style={{ height: HEIGHT }}>
      {width > 0 ? (
        <Svg width={width} height={HEIGHT} role="img" aria-label={spoken}>
          {y.ticks(6).map((tick) => (
            <G key={tick}>
              <Line
                x1={EDGE.left}
                x2={width - EDGE.right}
                y1={y(tick)}
                y2={y(tick)}
                stroke={palette.rule}
                strokeWidth={1}
              />
              <SvgText
                x={EDGE.left - 8}
                y={y(tick) + 5}
                textAnchor="end"
                fill={palette.soft}
                fontFamily={FONT.label}
                fontSize={SIZE.m}
              >
                {tick}
              </SvgText>
            </G>
          ))}
          {x.ticks(width < 400 ? 4 : 6).map((tick) => (
            <SvgText
              key={tick}
              x={x(tick)}
              y={HEIGHT - 8}
              textAnchor="middle"
              fill={palette.soft}
              fontFamily={FONT.label}
              fontSize={SIZE.m}
            >
              {unit === 'h' ? Math.round(tick + offset) : `${Math.round((tick + offset) / 1000)}k`}
            </SvgText>
          ))}
          {begun ? (
            <Line
              x1={x(begun.travelled)}
              y1={y(begun.value)}
              x2={x(last.travelled + reach)}
              y2={y(Math.max(0, begun.value - peers * (last.travelled + reach - begun.travelled)))}
              stroke={palette.rule}
              strokeWidth={6}
            />
          ) : null}
          {fanPath ? <Path d={fanPath} fill={palette.forecastWash} /> : null}
          {fitPath ? (
            <Path d={fitPath} fill="none" stroke={palette.forecast} strokeWidth={2} strokeDasharray="5 4" />
          ) : null}
          {thresholds.map((edge) => {
            const colour = edge.grade === 'fail' ? palette.fail : palette.advisory;
            return (
              <G key={`${edge.grade}${edge.value}`}>
                <Line
                  x1={EDGE.left}
                  x2={width - EDGE.right}
                  y1={y(edge.value)}
                  y2={y(edge.value)}
                  stroke={colour}
                  strokeWidth={2}
                  {...(edge.grade === 'advisory' ? { strokeDasharray: '7 4' } : {})}
                />
                <SvgText
                  x={EDGE.left + 4}
                  y={y(edge.value) - 5}
                  fill={colour}
                  fontFamily={FONT.labelStrong}
                  fontSize={SIZE.m}
                >
                  {`${edge.grade} ${figure(measure, edge.value)} ${words.basis[edge.basis]}`}
                </SvgText>
              </G>
            );
          })}
          {readings.map((reading, index) => {
            const before = readings[index - 1];
            const half = CLOSE_CALL_FACTOR * reading.u;
            return (
              <G key={reading.inspectionId}>
                {before && !reading.startsPart ? (
                  <Line
                    x1={x(before.travelled)}
                    y1={y(before.value)}
                    x2={x(reading.travelled)}
                    y2={y(reading.value)}
                    stroke={palette.ink}
                    strokeWidth={2}
                  />
                ) : null}
                <Line
                  x1={x(reading.travelled)}
                  x2={x(reading.travelled)}
                  y1={y(reading.value - half)}
                  y2={y(reading.value + half)}
                  stroke={palette.ink}
                  strokeWidth={1.5}
                />
                <Circle
                  cx={x(reading.travelled)}
                  cy={y(reading.value)}
                  r={5}
                  fill={palette.card}
                  stroke={palette.ink}
                  strokeWidth={2}
                />
              </G>
            );
          })}
        </Svg>
      ) : null}
    </View>
  );
}
