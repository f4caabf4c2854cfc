import { cataloguePoint, readingAt, type Finding, type PointGrade, type PointRef, type Spot } from '@weskopos/core';
import { View } from 'react-native';
import { Words } from '../../kit/Words';
import { words } from '../../words/en';
import { figure } from '../../words/show';
import { TypedReading } from './TypedReading';

interface CloseCallProps {
  readonly pointRef: PointRef;
  readonly result: PointGrade;
  readonly finding: Finding | undefined;
  readonly onAgain: (spot: Spot, value: number) => void;
}

/** Too near a limit for one reading: a second one is asked for, and the mean counts. */
export function CloseCall({ pointRef, result, finding, onAgain }: CloseCallProps) {
  const { measure } = cataloguePoint(pointRef.point);
  const close = result.reasons.flatMap((reason) =>
    reason.rule === 'limit' && reason.kind === 'value' && reason.closeCall ? [reason.spot] : [],
  );
  if (!measure) return null;
  return [...new Set(close)].map((spot) => {
    const reading = readingAt(finding, spot);
    if (!reading) return null;
    const where = words.spot[spot] ? `${words.spot[spot]}, ` : '';
    return reading.values.length > 1 ? (
      <Words key={spot} size="m" soft>
        {`${where}mean of ${reading.values.map((value) => figure(measure, value)).join(' and ')}`}
      </Words>
    ) : (
      <View key={spot}>
        <Words size="m" soft>{`Near a limit: ${where}second reading`}</Words>
        <TypedReading
          measure={measure}
          label={`${words.point[pointRef.point]} ${words.spot[spot]} second reading`.replace('  ', ' ')}
          value={null}
          onValue={(value) => onAgain(spot, value)}
        />
      </View>
    );
  });
}
