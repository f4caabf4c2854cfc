import type { Grade } from '@weskopos/core';
import { Circle, Path } from 'react-native-svg';
import { gradeColours, usePalette } from '../../kit/theme';

/** The tally edge in small, for drawings: the same shapes, told apart without colour. Centred on (x, y). */
export function DeckMark({ grade, x, y }: { readonly grade: Grade; readonly x: number; readonly y: number }) {
  const { line } = gradeColours(usePalette(), grade);
  const palette = usePalette();
  switch (grade) {
    case 'pass':
      return <Circle cx={x} cy={y} r={5} fill={line} />;
    case 'advisory':
      return (
        <Path
          d={`M${x - 8} ${y - 8}H${x + 8}V${y - 4}L${x + 2} ${y}L${x + 8} ${y + 4}V${y + 8}H${x - 8}Z`}
          fill={line}
        />
      );
    case 'fail':
      return (
        <Path
          d={`M${x - 9} ${y - 9}H${x + 9}V${y - 4}L${x + 1} ${y - 1}L${x - 9} ${y - 3}ZM${x - 9} ${y + 9}H${x + 9}V${y + 3}L${x + 2} ${y + 4}L${x - 9} ${y + 3}Z`}
          fill={line}
          stroke={palette.card}
          strokeWidth={1}
        />
      );
    default:
      return <Circle cx={x} cy={y} r={6} fill="none" stroke={line} strokeWidth={2} strokeDasharray="3 3" />;
  }
}
