import {
  answeredBy,
  mainSlot,
  cataloguePoint,
  momentsOf,
  pointKey,
  readingAt,
  readingValue,
  type PointRef,
} from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Words } from '../../kit/Words';
import { readingChange } from '../../visit/readings';
import type { Background } from '../../visit/visitContext';
import { walk as say } from '@weskopos/words/en/pages/walk';
import { amount, pointShort } from '@weskopos/words/show';
import type { PutFinding } from './controls/control';

interface EarlierTodayProps {
  readonly pointRef: PointRef;
  readonly background: Background;
  readonly put: PutFinding;
}

/** What the same quantity read earlier in this visit: taken again with one tap where nothing has happened to it since. */
export function EarlierToday({ pointRef, background, put }: EarlierTodayProps) {
  const { standing, vehicle } = background.grading;
  const { point, place } = pointRef;
  const measure = mainSlot(cataloguePoint(point))?.measure;
  const moments = momentsOf(point);
  const before = moments.slice(0, moments.indexOf(point)).reverse();
  const look = before
    .map((code) => standing.get(pointKey(code, place)))
    .find((finding) => finding && finding.outOf.length === 0 && measure && readingAt(finding, measure));
  const reading = measure && readingAt(look, measure);
  if (!look || !reading || !measure || reading.bound !== 'exact') return null;
  const here = readingAt(standing.get(pointKey(point, place)), measure);
  const value = readingValue(reading);
  const answered = answeredBy(pointRef, standing) !== null;
  return (
    <View style={styles.note}>
      <Words size="m" soft>
        {say.earlierToday(pointShort(look.point, place, vehicle), amount(measure, value))}
        {answered ? ` ${say.answersHere}` : ''}
      </Words>
      {here || answered ? null : (
        <Press
          label={say.stillSo(amount(measure, value))}
          onPress={() => put(pointRef, (now) => readingChange(now, { measure, spot: 'whole', phase: 'found' }, value))}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({ note: { gap: SPACE.xs } });
