import type { GradedPoint } from '@weskopos/core';
import { G, Path, Rect } from 'react-native-svg';
import { gradeColours, usePalette } from '../../kit/theme';
import { DeckMark } from './DeckMark';
import type { DeckName } from './deckNames';
import { BONNET_BOX, pointSpot } from './deckShape';
import { LeakDrop } from './LeakDrop';
import { worstLeak } from './worstLeak';
import type { VehicleShape } from './vehicleShape';

interface FloorProps {
  readonly deck: Exclude<DeckName, 'wheels'>;
  readonly shape: VehicleShape;
  /** The points of this floor. */
  readonly points: readonly GradedPoint[];
}

/** What lies under the bonnet, or under the floor: the large parts, and every point where it is. A leak is drawn as its drop. */
export function Floor({ deck, shape, points }: FloorProps) {
  const palette = usePalette();
  return (
    <G>
      {deck === 'bonnet' ? <Bonnet shape={shape} /> : <Underside shape={shape} />}
      {points.map((point) => {
        const at = pointSpot(point, shape);
        if (!at) return null;
        const { grade } = point.result;
        const leak = worstLeak(point);
        return leak ? (
          <LeakDrop key={point.key} stage={leak} {...at} colour={gradeColours(palette, grade).line} size={15} />
        ) : (
          <DeckMark key={point.key} grade={grade} {...at} />
        );
      })}
    </G>
  );
}

/** The compartment of the engine, as large as the picture: nose, radiator, block, bulkhead. */
function Bonnet({ shape: { body, engine } }: { readonly shape: VehicleShape }) {
  const palette = usePalette();
  const { x, y, width, height } = BONNET_BOX;
  const [right, bottom, middle] = [x + width, y + height, y + height / 2];
  const nose = body === 'box' || body === 'flatbed' || body === 'bus' || body === 'tractor' || body === 'set' ? 14 : 54;
  const block = { width: engine.width * 1.4, height: engine.height * 1.25 };
  return (
    <>
      <Path
        d={`M${right} ${y}H${x + nose}C${x + nose * 0.3} ${y} ${x} ${y + height * 0.16} ${x} ${middle}C${x} ${bottom - height * 0.16} ${x + nose * 0.3} ${bottom} ${x + nose} ${bottom}H${right}Q${right - 22} ${middle} ${right} ${y}Z`}
        fill={palette.card}
        stroke={palette.ink}
        strokeWidth={1.5}
      />
      <Rect
        x={x + 24}
        y={middle - height * 0.34}
        width={9}
        height={height * 0.68}
        rx={3}
        fill={palette.panel}
        stroke={palette.rule}
      />
      <Rect
        x={x + width * 0.3 - block.width / 2}
        y={middle - block.height / 2}
        {...block}
        rx={8}
        fill={palette.panel}
        stroke={palette.rule}
        strokeWidth={1.5}
      />
      <Path
        d={`M${x + width * 0.8} ${y + 4}Q${x + width * 0.75} ${middle} ${x + width * 0.8} ${bottom - 4}`}
        fill="none"
        stroke={palette.rule}
        strokeWidth={2}
      />
    </>
  );
}

/** The whole vehicle from above, its floor taken off: block, what drives the wheels, exhaust. */
function Underside({ shape }: { readonly shape: VehicleShape }) {
  const palette = usePalette();
  const { box, outline, engine, drivenBy } = shape;
  const low = box.y + box.height * 0.74;
  return (
    <>
      <Path d={outline} fill={palette.card} stroke={palette.ink} strokeWidth={1.5} />
      <Path
        d={shape.axles.map((at) => `M${at} ${box.y + 14}V${box.y + box.height - 14}`).join('')}
        stroke={palette.rule}
        strokeWidth={5}
      />
      <Path
        d={`M${engine.x + engine.width} ${low}C${box.x + box.width * 0.5} ${low + 8} ${box.x + box.width * 0.7} ${low} ${box.x + box.width - 8} ${low}`}
        fill="none"
        stroke={palette.panel}
        strokeWidth={9}
      />
      <Path d={drivenBy} stroke={palette.rule} strokeWidth={7} />
      <Rect {...engine} rx={8} fill={palette.panel} stroke={palette.rule} strokeWidth={1.5} />
    </>
  );
}
