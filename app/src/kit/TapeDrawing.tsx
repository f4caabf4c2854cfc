import { memo } from 'react';
import { StyleSheet } from 'react-native';
import Svg, { G, Path, Rect, Text as SvgText } from 'react-native-svg';
import { shallow } from 'zustand/shallow';
import { figure, figureIn, workshopUnit } from '@weskopos/words/show';
import { TAPE_MARGIN, type TapeProps } from './Tape';
import { tapeTicks, toShare } from './tapeScale';
import { FONT, SIZE } from './tokens';
import { gradeColours, usePalette } from './theme';

const BADGE = { width: 64, height: 34 } as const;
/** Px the bubble leaves free on a standing tape: the figures of its ticks, and the cuts of its limits. */
const ASIDE = { ticks: 34, cuts: 18 } as const;
/** Half the breadth of a stick's blade, px: room for its figures and its cuts. */
const STICK_HALF = 34;
/** Px between two tick figures. */
const TICK_ROOM = { across: 62, upright: 44 } as const;

type TapeDrawingProps = Omit<TapeProps, 'label' | 'onSlide' | 'onSet'> & { readonly width: number };

/** Drawing is the dear part of a tape; a neighbour's finger, or a limit list made anew with the same limits, changes nothing in it. */
function looksTheSame(a: TapeDrawingProps, b: TapeDrawingProps): boolean {
  const { gauge: gaugeA, thresholds: edgesA, ...restA } = a;
  const { gauge: gaugeB, thresholds: edgesB, ...restB } = b;
  return (
    shallow(restA, restB) &&
    shallow(gaugeA.tape, gaugeB.tape) &&
    shallow(gaugeA.stretch, gaugeB.stretch) &&
    edgesA.length === edgesB.length &&
    edgesA.every((edge, index) => edge.value === edgesB[index]?.value && edge.grade === edgesB[index].grade)
  );
}

/** What the eye sees of a tape: frame, ticks, limits as cuts in its edge, ghost, expected value and today's. */
export const TapeDrawing = memo(function TapeDrawing({
  measure,
  gauge,
  value,
  grade,
  thresholds,
  ghost,
  expected,
  across,
  height,
  shape,
  width,
}: TapeDrawingProps) {
  const palette = usePalette();
  const { line, wash } = gradeColours(palette, value === null ? 'not-seen' : grade);
  const frame = frameOf({ gauge, across, height, shape, width });
  const { along, box, breadth, corner, far, length, near, path, point, segment } = frame;
  // On a standing tape the bubble stands between ticks and cuts, and covers neither.
  const [left, right] = shape === 'stick' ? [far + 4, breadth] : [near + ASIDE.ticks, far - ASIDE.cuts];
  const badgeWidth = across ? BADGE.width : Math.max(36, Math.min(BADGE.width, right - left));
  const badgeMiddle = (left + right) / 2;
  return (
    <Svg width={width} height={height} style={styles.drawing} aria-hidden>
      <Vessel shape={shape} frame={frame} />
      <Rect
        {...box(TAPE_MARGIN, length - TAPE_MARGIN, near, far)}
        rx={corner}
        fill={palette.card}
        stroke={palette.ink}
        strokeWidth={1.5}
      />
      {value === null ? null : (
        <Rect {...box(TAPE_MARGIN + 1, along(value), near + 1, far - 1)} rx={corner} fill={wash} />
      )}
      <Ticks measure={measure} gauge={gauge} frame={frame} />
      {thresholds.map((edge) => (
        <Path
          key={`${edge.grade}${edge.bad}${edge.value}`}
          d={path(
            point(along(edge.value) - 8, far + 2),
            point(along(edge.value), far - 12),
            point(along(edge.value) + 8, far + 2),
          )}
          fill={palette.ground}
          stroke={edge.grade === 'fail' ? palette.fail : palette.advisory}
          strokeWidth={2.5}
        />
      ))}
      {ghost === null ? null : (
        <Path
          d={segment(along(ghost), near + 2, far - 2)}
          stroke={palette.soft}
          strokeWidth={2}
          strokeDasharray="4 4"
        />
      )}
      {expected === null ? null : (
        <Path
          d={`${path(point(along(expected) - 6, far + 3), point(along(expected), far - 8), point(along(expected) + 6, far + 3))}Z`}
          fill="none"
          stroke={palette.forecast}
          strokeWidth={2}
        />
      )}
      {value === null ? null : (
        <Badge
          at={across ? point(along(value), breadth / 2) : point(along(value), badgeMiddle)}
          width={badgeWidth}
          text={figure(measure, value)}
          colour={line}
          ink={palette.onFill}
          edge={segment(along(value), 0, breadth)}
        />
      )}
    </Svg>
  );
}, looksTheSame);

type Place = readonly [number, number];

/** Where things stand in the picture of a tape, px: along it from the low end, and across it. */
function frameOf({
  gauge,
  across,
  height,
  shape,
  width,
}: Pick<TapeDrawingProps, 'gauge' | 'across' | 'height' | 'shape' | 'width'>) {
  const [length, breadth] = across ? [width, height] : [height, width];
  const isStick = shape === 'stick';
  const along = (at: number) => TAPE_MARGIN + toShare(gauge, at) * (length - 2 * TAPE_MARGIN);
  /** A point by its place along the tape and across it, in the picture's own axes. */
  const point = (a: number, c: number): Place => (across ? [a, breadth - c] : [c, length - a]);
  const path = (...points: readonly Place[]) =>
    points.map((one, index) => `${index === 0 ? 'M' : 'L'}${one[0]} ${one[1]}`).join('');
  const box = (from: number, to: number, low: number, high: number) => {
    const [[x0, y0], [x1, y1]] = [point(from, low), point(to, high)];
    return { x: Math.min(x0, x1), y: Math.min(y0, y1), width: Math.abs(x1 - x0), height: Math.abs(y1 - y0) };
  };
  return {
    across,
    length,
    breadth,
    along,
    point,
    path,
    box,
    segment: (a: number, from: number, to: number) => path(point(a, from), point(a, to)),
    near: isStick ? breadth / 2 - STICK_HALF : 4,
    far: isStick ? breadth / 2 + STICK_HALF : breadth - 4,
    corner: shape === 'bottle' ? 16 : isStick ? 6 : 0,
  };
}
type Frame = ReturnType<typeof frameOf>;

/** What the marks are on, where it is no plain tape: a stick's rod, a bottle's neck. */
function Vessel({ shape, frame }: Pick<TapeDrawingProps, 'shape'> & { readonly frame: Frame }) {
  const palette = usePalette();
  const { box, breadth, length, path, point } = frame;
  if (shape === 'stick')
    return (
      <Path
        d={path(point(TAPE_MARGIN, breadth / 2), point(length, breadth / 2))}
        stroke={palette.ink}
        strokeWidth={6}
      />
    );
  if (shape !== 'bottle') return null;
  return (
    <Rect
      {...box(length - TAPE_MARGIN, length - 6, breadth / 2 - 18, breadth / 2 + 18)}
      fill={palette.card}
      stroke={palette.ink}
      strokeWidth={1.5}
    />
  );
}

function Ticks({ measure, gauge, frame }: Pick<TapeDrawingProps, 'measure' | 'gauge'> & { readonly frame: Frame }) {
  const palette = usePalette();
  const { across, along, length, near, point, segment } = frame;
  const unit = workshopUnit(measure);
  const room = across ? TICK_ROOM.across : TICK_ROOM.upright;
  return tapeTicks(gauge, unit, Math.max(2, Math.min(7, Math.floor(length / room)))).map((tick) => {
    // The figures of the two ends stand inside the frame.
    const inset = across ? 0 : tick === gauge.tape[1] ? -9 : tick === gauge.tape[0] ? 9 : 0;
    const [x, y] = across ? point(along(tick), near + 26) : point(along(tick) + inset, near + 14);
    return (
      <G key={tick}>
        <Path d={segment(along(tick), near, near + 10)} stroke={palette.ink} strokeWidth={1} />
        <SvgText
          x={x}
          y={y + (across ? 12 : 5)}
          textAnchor={across ? 'middle' : 'start'}
          fill={palette.soft}
          fontFamily={FONT.label}
          fontSize={SIZE.m}
        >
          {measure === 'level' ? levelTick(tick) : figureIn(unit, tick).replace(/\.0+$/, '')}
        </SvgText>
      </G>
    );
  });
}

function Badge({
  at: [x, y],
  width,
  text,
  colour,
  ink,
  edge,
}: {
  readonly at: Place;
  readonly width: number;
  readonly text: string;
  readonly colour: string;
  readonly ink: string;
  readonly edge: string;
}) {
  return (
    <G>
      <Path d={edge} stroke={colour} strokeWidth={4} />
      <Rect x={x - width / 2} y={y - BADGE.height / 2} width={width} height={BADGE.height} rx={8} fill={colour} />
      <SvgText
        x={x}
        y={y + 8}
        textAnchor="middle"
        fill={ink}
        fontFamily={FONT.labelStrong}
        fontSize={width < BADGE.width ? SIZE.xl : SIZE.h3}
      >
        {text}
      </SvgText>
    </G>
  );
}

function levelTick(tick: number): string {
  return tick === 0 ? 'min' : tick === 1 ? 'max' : tick === 0.5 ? '½' : '';
}

const styles = StyleSheet.create({ drawing: { pointerEvents: 'none' } });
