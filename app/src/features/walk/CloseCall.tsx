import { readingAt, type Finding, type MeasureCode, type PointGrade, type PointRef, type Spot } from '@weskopos/core';
import { View } from 'react-native';
import { Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { HouseLine } from '../../controls/HouseLine';
import { figure, pointName } from '@weskopos/words/show';
import { TypedReading } from '../../controls/TypedReading';
import { walk as say } from '@weskopos/words/en/pages/walk';

/** A difference is read again by reading its parts again. */
const COMPARISONS: readonly string[] = ['spread', 'across', 'inner-outer', 'front-rear', 'twins'];

interface CloseCallProps {
  readonly pointRef: PointRef;
  readonly result: PointGrade;
  readonly finding: Finding | undefined;
  readonly onAgain: (measure: MeasureCode, spot: Spot, value: number) => void;
}

/** Too near a limit for one reading: a second one is asked for, and the mean counts. */
export function CloseCall({ pointRef, result, finding, onAgain }: CloseCallProps) {
  const close = result.reasons.flatMap((reason) =>
    reason.rule === 'limit' && reason.closeCall && !COMPARISONS.includes(reason.kind)
      ? [{ measure: reason.measure, spot: reason.spot }]
      : [],
  );
  const once = close.filter(
    ({ measure, spot }, index) => close.findIndex((one) => one.measure === measure && one.spot === spot) === index,
  );
  return once.map(({ measure, spot }) => {
    const reading = readingAt(finding, measure, spot);
    if (!reading) return null;
    const where = words.spot[spot] ? `${words.spot[spot]}, ` : '';
    return reading.values.length > 1 ? (
      <Words key={`${measure}${spot}`} size="m" soft>
        {say.meanOf(where, reading.values.map((value) => figure(measure, value)).join(' and '))}
      </Words>
    ) : (
      <View key={`${measure}${spot}`}>
        <Words size="m" soft>
          {say.nearALimitSecondReading(where)}
        </Words>
        <HouseLine question="nearLimit" />
        <TypedReading
          measure={measure}
          label={say.secondReading(pointName(pointRef.point), words.spot[spot]).replace('  ', ' ')}
          value={null}
          onValue={(value) => onAgain(measure, spot, value)}
        />
      </View>
    );
  });
}
