import type { GradedPoint } from '@weskopos/core';
import { Pressable, StyleSheet, View } from 'react-native';
import { followedByEnter } from '../kit/followedByEnter';
import { GradeMark } from '../kit/GradeMark';
import { SPACE, TOUCH } from '../kit/tokens';
import { gradeColours, usePalette } from '../kit/theme';
import { Heading, Words } from '../kit/Words';
import { words } from '@weskopos/words/en';
import { pointShort, stopWords, type Seats } from '@weskopos/words/show';

interface CoverageListProps {
  readonly points: readonly GradedPoint[];
  readonly axles: Seats;
  readonly onPoint: (point: GradedPoint) => void;
  /** In the order given, the best find first, instead of by stop. */
  readonly ranked?: boolean;
}

/** Every point the vehicle has, by stop, looked at or not: what is not seen stays visible. */
export function CoverageList({ points, axles, onPoint, ranked = false }: CoverageListProps) {
  const palette = usePalette();
  const stops = ranked ? [null] : [...new Set(points.map(({ stop }) => stop))];
  return (
    <View style={styles.list}>
      {stops.map((stop) => (
        <View key={stop}>
          {stop === null ? null : (
            <Heading level={2} size="m" soft>
              {stopWords(stop, axles)}
            </Heading>
          )}
          {points
            .filter((point) => stop === null || point.stop === stop)
            .map((point) => (
              <Pressable
                key={point.key}
                role="link"
                {...followedByEnter(() => onPoint(point))}
                onPress={() => onPoint(point)}
                style={[styles.row, { borderColor: palette.rule }]}
              >
                <GradeMark grade={point.result.grade} carried={point.result.carried !== null} height={26} />
                <Words style={styles.name}>{pointShort(point.point, point.place, axles)}</Words>
                <Words strong colour={gradeColours(palette, point.result.grade).line}>
                  {words.grade[point.result.grade]}
                </Words>
              </Pressable>
            ))}
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.m },
  row: { minHeight: TOUCH.least, flexDirection: 'row', alignItems: 'center', gap: SPACE.s, borderBottomWidth: 1 },
  name: { flex: 1 },
});
