import Svg, { Circle, G, Text as SvgText } from 'react-native-svg';
import { FONT, SIZE } from '../../../kit/tokens';
import { usePalette } from '../../../kit/theme';
import { controls as say } from '@weskopos/words/en/pages/controls';

const SIZE_PX = 168;
const RADIUS = 62;

/** The wheel's studs, each with its turn in the order of tightening. */
export function StudCircle({ order }: { readonly order: readonly number[] }) {
  const palette = usePalette();
  const middle = SIZE_PX / 2;
  return (
    <Svg width={SIZE_PX} height={SIZE_PX} role="img" aria-label={say.orderOfTheStudsNumbered(order.join(', '))}>
      <Circle cx={middle} cy={middle} r={RADIUS + 18} fill={palette.card} stroke={palette.rule} strokeWidth={2} />
      <Circle cx={middle} cy={middle} r={22} fill="none" stroke={palette.rule} strokeWidth={2} />
      {order.map((stud, turn) => {
        const angle = ((stud - 1) / order.length) * 2 * Math.PI;
        const x = middle + Math.sin(angle) * RADIUS;
        const y = middle - Math.cos(angle) * RADIUS;
        return (
          <G key={stud}>
            <Circle
              cx={x}
              cy={y}
              r={15}
              fill={turn < 2 ? palette.pass : palette.panel}
              stroke={palette.ink}
              strokeWidth={1.5}
            />
            <SvgText
              x={x}
              y={y + 6}
              textAnchor="middle"
              fontFamily={FONT.labelStrong}
              fontSize={SIZE.l}
              fill={turn < 2 ? palette.onFill : palette.ink}
            >
              {turn + 1}
            </SvgText>
          </G>
        );
      })}
    </Svg>
  );
}
