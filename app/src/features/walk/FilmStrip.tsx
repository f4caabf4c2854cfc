import { pointKey, type Vehicle, type WalkStep } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { SPACE } from '../../kit/tokens';
import { day, pointWords } from '@weskopos/words/show';
import type { Background } from '../../visit/visitContext';
import { walk as say } from '@weskopos/words/en/pages/walk';
import { PhotoStrip } from '../photo/PhotoStrip';
import type { PutFinding } from './controls/control';

interface FilmStripProps {
  readonly step: WalkStep;
  readonly background: Background;
  readonly vehicle: Vehicle;
  readonly put: PutFinding;
}

/** Height of a picture of the strip, px. */
const FRAME = 72;

/** The step's photos, the last look's ghosted before today's. Nothing where there are none. */
export function FilmStrip({ step, background, vehicle, put }: FilmStripProps) {
  const frames = step.points.map((ref) => {
    const look = background.history.lastLook(ref);
    return {
      ref,
      key: pointKey(ref.point, ref.place),
      label: pointWords(ref.point, ref.place, vehicle),
      at: look?.visit.inspection.startedAt ?? '',
      before: look?.finding.photos ?? [],
      now: background.grading.standing.get(pointKey(ref.point, ref.place))?.photos ?? [],
    };
  });
  if (frames.every(({ before, now }) => before.length + now.length === 0)) return null;
  return (
    <View style={styles.strip}>
      {frames.map(({ ref, key, label, at, before, now }) => (
        <View key={key} style={styles.strip}>
          <View style={styles.ghost}>
            <PhotoStrip photos={before} label={say.onDay(label, day(at))} size={FRAME} />
          </View>
          <PhotoStrip photos={now} label={label} size={FRAME} onChange={(photos) => put(ref, () => ({ photos }))} />
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  strip: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  ghost: { opacity: 0.55 },
});
