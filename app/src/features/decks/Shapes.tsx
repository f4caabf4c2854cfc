import type { Shape } from '@weskopos/core/decks/marks';
import { Path } from 'react-native-svg';
import { usePalette } from '../../kit/theme';

/** Shapes of a drawing in the theme's colours. */
export function Shapes({ shapes }: { readonly shapes: readonly Shape[] }) {
  const palette = usePalette();
  return shapes.map(({ d, fill, fillOpacity, stroke, width, dash }, at) => (
    <Path
      key={at}
      d={d}
      fill={fill === null ? 'none' : palette[fill]}
      {...(fillOpacity === undefined ? {} : { fillOpacity })}
      {...(stroke === null ? {} : { stroke: palette[stroke], strokeWidth: width })}
      {...(dash ? { strokeDasharray: dash.join(' ') } : {})}
    />
  ));
}
