import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';
import { FONT, SIZE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';

/** One reading of a chart, in the chart's own units. */
export interface ChartPoint {
  readonly key: string;
  readonly x: number;
  readonly y: number;
  /** Half the height of the bar that says how far the gauge may be off. */
  readonly half: number;
  /** Whether a line comes here from the point before. */
  readonly joined: boolean;
  /** Put right by hand: drawn filled. */
  readonly byHand?: boolean;
}

/** A limit drawn across a chart, with the word that stands on it. */
export interface ChartLimit {
  readonly grade: 'advisory' | 'fail';
  readonly value: number;
  readonly word: string;
}

interface LineChartProps {
  readonly points: readonly ChartPoint[];
  /** What is believed from the last point on, and the ends of its 80 %. */
  readonly fan: readonly { readonly x: number; readonly y: number; readonly low: number; readonly high: number }[];
  readonly limits: readonly ChartLimit[];
  /** Ends of the broad pale line behind: what its peers do. */
  readonly peers?:
    readonly [{ readonly x: number; readonly y: number }, { readonly x: number; readonly y: number }] | null;
  readonly x: readonly [number, number];
  readonly y: readonly [number, number];
  readonly ticks: (
    domain: readonly [number, number],
    count: number,
  ) => readonly { readonly at: number; readonly word: string }[];
  readonly tickY?: (value: number) => string;
  /** The whole drawing in words. */
  readonly spoken: string;
}

const HEIGHT = 280;
const EDGE = { left: 40, right: 12, top: 14, bottom: 30 } as const;

/** Points with their uncertainty, limits across, and what is believed ahead. */
export function LineChart({ points, fan, limits, peers, x: domain, y: range, ticks, tickY, spoken }: LineChartProps) {
  const palette = usePalette();
  const [width, setWidth] = useState(0);
  const x = scaleLinear()
    .domain(domain)
    .range([EDGE.left, Math.max(EDGE.left + 10, width - EDGE.right)]);
  const y = scaleLinear()
    .domain(range)
    .nice()
    .range([HEIGHT - EDGE.bottom, EDGE.top]);
  // Nothing is drawn out of the frame, below which nothing can be.
  const inside = (value: number) => Math.min(HEIGHT - EDGE.bottom, Math.max(EDGE.top, y(value)));
  const scales: Scales = { x, y, inside, width };
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)} style={{ height: HEIGHT }}>
      {width > 0 ? (
        <Svg width={width} height={HEIGHT} role="img" aria-label={spoken}>
          <Heights {...scales} ticks={y.ticks(6)} word={tickY ?? String} />
          {ticks(domain, width < 400 ? 4 : 6).map(({ at, word }) => (
            <SvgText
              key={at}
              x={x(at)}
              y={HEIGHT - 8}
              textAnchor="middle"
              fill={palette.soft}
              fontFamily={FONT.label}
              fontSize={SIZE.m}
            >
              {word}
            </SvgText>
          ))}
          {peers ? (
            <Line
              x1={x(peers[0].x)}
              y1={inside(peers[0].y)}
              x2={x(peers[1].x)}
              y2={inside(peers[1].y)}
              stroke={palette.rule}
              strokeWidth={6}
            />
          ) : null}
          <Fan {...scales} fan={fan} />
          {limits.map((limit) => (
            <Limit key={`${limit.grade}${limit.value}`} {...scales} {...limit} />
          ))}
          {points.map((point, index) => (
            <Reading key={point.key} {...scales} point={point} before={points[index - 1]} />
          ))}
        </Svg>
      ) : null}
    </View>
  );
}

/** Where things stand in the picture, px. */
interface Scales {
  readonly x: (value: number) => number;
  readonly y: (value: number) => number;
  /** As `y`, kept within the frame. */
  readonly inside: (value: number) => number;
  readonly width: number;
}

interface HeightsProps extends Scales {
  readonly ticks: readonly number[];
  readonly word: (value: number) => string;
}

function Heights({ y, width, ticks, word }: HeightsProps) {
  const palette = usePalette();
  return ticks.map((tick) => (
    <G key={tick}>
      <Line x1={EDGE.left} x2={width - EDGE.right} y1={y(tick)} y2={y(tick)} stroke={palette.rule} strokeWidth={1} />
      <SvgText
        x={EDGE.left - 6}
        y={y(tick) + 5}
        textAnchor="end"
        fill={palette.soft}
        fontFamily={FONT.label}
        fontSize={SIZE.m}
      >
        {word(tick)}
      </SvgText>
    </G>
  ));
}

type FanStep = LineChartProps['fan'][number];

/** What is believed ahead, and how surely. */
function Fan({ x, inside, fan }: Scales & Pick<LineChartProps, 'fan'>) {
  const palette = usePalette();
  const breadth = area<FanStep>()
    .x((step) => x(step.x))
    .y0((step) => inside(step.low))
    .y1((step) => inside(step.high))([...fan]);
  const middle = line<FanStep>()
    .x((step) => x(step.x))
    .y((step) => inside(step.y))([...fan]);
  return (
    <>
      {breadth ? <Path d={breadth} fill={palette.forecastWash} /> : null}
      {middle ? <Path d={middle} fill="none" stroke={palette.forecast} strokeWidth={2} strokeDasharray="5 4" /> : null}
    </>
  );
}

function Limit({ y, width, grade, value, word }: Scales & ChartLimit) {
  const palette = usePalette();
  const colour = grade === 'fail' ? palette.fail : palette.advisory;
  return (
    <G>
      <Line
        x1={EDGE.left}
        x2={width - EDGE.right}
        y1={y(value)}
        y2={y(value)}
        stroke={colour}
        strokeWidth={2}
        {...(grade === 'advisory' ? { strokeDasharray: '7 4' } : {})}
      />
      <SvgText x={EDGE.left + 4} y={y(value) - 5} fill={colour} fontFamily={FONT.labelStrong} fontSize={SIZE.m}>
        {word}
      </SvgText>
    </G>
  );
}

interface ReadingProps extends Scales {
  readonly point: ChartPoint;
  readonly before: ChartPoint | undefined;
}

/** One reading with the bar of its gauge, and the line to it from the one before. */
function Reading({ x, y, point, before }: ReadingProps) {
  const palette = usePalette();
  return (
    <G>
      {before && point.joined ? (
        <Line x1={x(before.x)} y1={y(before.y)} x2={x(point.x)} y2={y(point.y)} stroke={palette.ink} strokeWidth={2} />
      ) : null}
      <Line
        x1={x(point.x)}
        x2={x(point.x)}
        y1={y(point.y - point.half)}
        y2={y(point.y + point.half)}
        stroke={palette.ink}
        strokeWidth={1.5}
      />
      <Circle
        cx={x(point.x)}
        cy={y(point.y)}
        r={5}
        fill={point.byHand ? palette.ink : palette.card}
        stroke={palette.ink}
        strokeWidth={2}
      />
    </G>
  );
}
