import {
  cataloguePoint,
  hubPlaces,
  isWrong,
  mainSlot,
  readingAt,
  readingValue,
  tyresAtHub,
  worstGrade,
  type Grade,
  type GradedPoint,
} from '@weskopos/core';
import { G, Path, Rect, Text as SvgText } from 'react-native-svg';
import { FONT, SIZE } from '../../kit/tokens';
import { gradeColours, usePalette } from '../../kit/theme';
import { figure } from '@weskopos/words/show';
import { hubSpot, type Box, type DrawnVehicle, type VehicleShape } from './vehicleShape';

interface WheelsProps {
  readonly shape: VehicleShape;
  readonly vehicle: DrawnVehicle;
  /** The points of this floor. */
  readonly points: readonly GradedPoint[];
}

/** What is told at a wheel, in this order. */
const FIGURES: readonly string[] = ['tyre.tread', 'pad.outer', 'pad.inner'];

/** Whether any wheel has figures to tell. */
export const hasFigures = (points: readonly GradedPoint[]): boolean =>
  points.some((point) => FIGURES.includes(point.point) && lowest(point) !== null);

/** From so many axles on only the wheels that are not well have room for their figures. */
const CROWDED = 3;

/** The vehicle from above with its tyres, each by its worst grade and with its least figures. */
export function Wheels({ shape, vehicle: { axles }, points }: WheelsProps) {
  const palette = usePalette();
  const { box, outline, lines } = shape;
  return (
    <G>
      <Path d={outline} fill={palette.card} stroke={palette.ink} strokeWidth={1.5} />
      <Path d={lines} fill="none" stroke={palette.edge} strokeWidth={1.5} />
      <Path
        d={shape.axles.map((at) => `M${at} ${box.y + 8}V${box.y + box.height - 8}`).join('')}
        stroke={palette.rule}
        strokeWidth={4}
      />
      <Path d={shape.drivenBy} stroke={palette.rule} strokeWidth={4} />
      {hubPlaces(axles).map((hub) => {
        const tyres = tyresAtHub(axles, hub);
        const atHub = points.filter(({ place }) => place === hub || tyres.includes(place));
        const graded = (place: string) =>
          worstGrade(
            atHub
              .filter((point) => point.station === 'wheel' && (point.place === place || point.place === hub))
              .map(({ result }) => result.grade),
          );
        const isTold = axles.length < CROWDED || tyres.some((tyre) => isWrong(graded(tyre)));
        const text = FIGURES.flatMap((code) => atHub.filter(({ point }) => point === code)).flatMap(
          (point) => lowest(point) ?? [],
        );
        const at = hubSpot(shape, hub);
        const rear = at.x > box.x + box.width / 2;
        const away = Math.max(...tyres.map((tyre) => shape.tyres.get(tyre)?.width ?? 0)) / 2 + 8;
        return (
          <G key={hub}>
            {tyres.map((tyre) => {
              const where = shape.tyres.get(tyre);
              return where ? <Tyre key={tyre} grade={graded(tyre)} at={where} /> : null;
            })}
            {isTold ? (
              <SvgText
                x={rear ? at.x - away : at.x + away}
                textAnchor={rear ? 'end' : 'start'}
                y={hub.includes('L') ? box.y + 20 : box.y + box.height - 8}
                fill={palette.ink}
                fontFamily={FONT.label}
                fontSize={SIZE.l}
              >
                {text.join(' · ')}
              </SvgText>
            ) : null}
          </G>
        );
      })}
    </G>
  );
}

/** A tyre by its grade: whole, notched or cut through, dashed where nobody has seen it. */
function Tyre({ grade, at: { x, y, width, height } }: { readonly grade: Grade; readonly at: Box }) {
  const palette = usePalette();
  const { line } = gradeColours(palette, grade);
  const hollow = grade === 'not-seen' || grade === 'recorded';
  const middle = x + width / 2;
  const cut = height * (grade === 'fail' ? 1 : 0.55) + 1;
  return (
    <>
      <Rect
        {...{ x, y, width, height }}
        rx={5}
        fill={hollow ? palette.card : line}
        stroke={line}
        strokeWidth={2}
        {...(hollow ? { strokeDasharray: '4 3' } : {})}
      />
      {isWrong(grade) ? <Path d={`M${middle - 6} ${y - 1}l6 ${cut}l6 ${-cut}Z`} fill={palette.card} /> : null}
    </>
  );
}

/** The least of a point's readings: what decides it. */
function lowest({ point, finding }: GradedPoint): string | null {
  const slot = mainSlot(cataloguePoint(point));
  if (!slot) return null;
  const values = slot.spots.flatMap((spot) => {
    const reading = readingAt(finding, slot.measure, spot);
    return reading && reading.bound === 'exact' ? [readingValue(reading)] : [];
  });
  return values.length > 0 ? figure(slot.measure, Math.min(...values)) : null;
}
