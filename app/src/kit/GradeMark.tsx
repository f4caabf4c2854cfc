import type { Grade } from '@weskopos/core';
import Svg, { Line, Path } from 'react-native-svg';
import { gradeColours, usePalette } from './theme';

const WIDTH = 16;

/**
 * The tally edge: pass a plain edge, advisory one notch cut, fail broken through and hatched, not seen dashed.
 * Told apart by shape alone; always stands beside its word.
 */
export function GradeMark({
  grade,
  height = 40,
  carried = false,
}: {
  readonly grade: Grade;
  readonly height?: number;
  /** An earlier look stands in: drawn as a ghost. */
  readonly carried?: boolean;
}) {
  const { line } = gradeColours(usePalette(), grade);
  const middle = height / 2;
  return (
    <Svg width={WIDTH} height={height} aria-hidden opacity={carried ? 0.45 : 1}>
      {grade === 'pass' ? <Path d={`M2 0H10V${height}H2Z`} fill={line} /> : null}
      {grade === 'recorded' ? <Path d={`M3 1H9V${height - 1}H3Z`} fill="none" stroke={line} strokeWidth={2} /> : null}
      {grade === 'not-seen' ? (
        <Line x1={6} y1={0} x2={6} y2={height} stroke={line} strokeWidth={4} strokeDasharray="5 4" />
      ) : null}
      {grade === 'advisory' ? (
        <Path d={`M2 0H10V${middle - 8}L5 ${middle}L10 ${middle + 8}V${height}H2Z`} fill={line} />
      ) : null}
      {grade === 'fail' ? (
        <>
          <Path d={`M2 0H10V${middle - 7}L7 ${middle - 2}L2 ${middle - 6}Z`} fill={line} />
          <Path d={`M2 ${height}H10V${middle + 7}L6 ${middle + 3}L2 ${middle + 8}Z`} fill={line} />
          <Path
            d={`M11 ${middle - 12}l4 -4M11 ${middle - 5}l4 -4M11 ${middle + 9}l4 -4M11 ${middle + 16}l4 -4`}
            stroke={line}
            strokeWidth={1.5}
          />
        </>
      ) : null}
    </Svg>
  );
}
