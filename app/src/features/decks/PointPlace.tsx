import { cataloguePoint, type PointRef } from '@weskopos/core';
import { memo, useMemo } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Path, Rect } from 'react-native-svg';
import { usePalette } from '../../kit/theme';
import { pointSpot } from '@weskopos/core/decks/deckShape';
import {
  DRAWING,
  hubSpot,
  vehicleShape,
  type DrawnVehicle,
  type Spot,
  type VehicleShape,
} from '@weskopos/core/decks/vehicleShape';

interface PointPlaceProps {
  readonly vehicle: DrawnVehicle;
  readonly at: PointRef;
}

/** Where a point is on the vehicle, small: front to the left. Nothing for a point that has no place of its own. */
export const PointPlace = memo(function PointPlace({ vehicle, at }: PointPlaceProps) {
  const palette = usePalette();
  const shape = useMemo(() => vehicleShape(vehicle), [vehicle]);
  const spot = spotOf(at, shape);
  if (!spot) return null;
  return (
    <View aria-hidden>
      <Svg width={76} height={(76 * DRAWING.height) / DRAWING.width} viewBox={`0 0 ${DRAWING.width} ${DRAWING.height}`}>
        <Path d={shape.outline} fill={palette.card} stroke={palette.soft} strokeWidth={5} />
        {[...shape.tyres.entries()].map(([place, tyre]) => (
          <Rect key={place} {...tyre} rx={5} fill={palette.soft} />
        ))}
        <Circle cx={spot.x} cy={spot.y} r={30} fill={palette.forecast} fillOpacity={0.25} />
        <Circle cx={spot.x} cy={spot.y} r={15} fill={palette.forecast} />
      </Svg>
    </View>
  );
});

/** The share of a vehicle's length its bonnet takes. */
const BONNET = 0.3;

function spotOf({ point, place }: PointRef, shape: VehicleShape): Spot | null {
  const { box } = shape;
  const tyre = shape.tyres.get(place);
  if (tyre) return { x: tyre.x + tyre.width / 2, y: tyre.y + tyre.height / 2 };
  const hub = /^(\d[LR])/.exec(place)?.[1];
  if (hub) return hubSpot(shape, hub as Parameters<typeof hubSpot>[1]);
  const axle = /^(\d)$/.exec(place)?.[1];
  if (axle) return { x: shape.axles[Number(axle) - 1] ?? box.x, y: box.y + box.height / 2 };
  const at = cataloguePoint(point).deck;
  if (at?.name === 'bonnet') return { x: box.x + at.x * BONNET * box.width, y: box.y + at.y * box.height };
  return pointSpot({ point }, shape);
}
