import type { GradedPoint, Vehicle, WalkStep } from '@weskopos/core';
import { useEffect, useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useEnterWaits } from '../../controls/useEnterWaits';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { Decks } from '../decks/Decks';
import { CoverageList } from '../../visit/CoverageList';
import { visit as aboutVisit } from '@weskopos/words/en/pages/visit';
import { walk as say } from '@weskopos/words/en/pages/walk';
import { pointFinder, type FindPoint } from './findPoint';
import { RouteList } from './RouteList';
import type { WalkRoute } from './useRoute';

interface JumpPanelProps {
  readonly vehicle: Vehicle;
  readonly points: readonly GradedPoint[];
  /** The way on as planned; null while it is not known. */
  readonly route: WalkRoute | null;
  readonly onPoint: (key: string) => void;
  readonly onStep: (step: WalkStep) => void;
  readonly onEnds: () => void;
  readonly onClose: () => void;
  /** To what was said on arrival, to correct it. */
  readonly onArrival: () => void;
}

/** Any point of the visit by search, on the decks, along the route, or from the list. */
export function JumpPanel({ vehicle, points, route, onPoint, onStep, onEnds, onClose, onArrival }: JumpPanelProps) {
  const [search, setSearch] = useState('');
  const find = useFinder(points, vehicle);
  const asked = search.trim() !== '';
  const found = useMemo(() => {
    if (!asked) return points;
    const byKey = new Map(points.map((point) => [point.key, point]));
    return (find?.(search) ?? []).flatMap((key) => byKey.get(key) ?? []);
  }, [asked, find, search, points]);
  const enter = useEnterWaits(search.trim(), asked ? found[0]?.key : undefined, onPoint);
  return (
    <ScrollView contentContainerStyle={styles.scroll}>
      <View style={styles.column}>
        <View style={styles.head}>
          <Heading level={1} style={styles.grow}>
            {say.jumpTo}
          </Heading>
          <Press label={say.close} onPress={onClose} />
        </View>
        <Field
          label={say.findAPoint}
          value={search}
          onChangeText={setSearch}
          autoFocus
          placeholder={say.eGPadRear}
          onSubmitEditing={enter}
        />
        {asked ? null : (
          <>
            <Decks vehicle={vehicle} points={points} onPoint={onPoint} />
            {route ? <RouteList route={route} axles={vehicle} onGo={onStep} onEnds={onEnds} /> : null}
            <Press label={aboutVisit.correctArrival} onPress={onArrival} />
          </>
        )}
        {asked && find && found.length === 0 ? <Words role="status">{say.noPointOfThisVisit}</Words> : null}
        <CoverageList points={found} axles={vehicle} onPoint={({ key }) => onPoint(key)} ranked={asked} />
      </View>
    </ScrollView>
  );
}

/** The finder of these points; null until its package has come. */
function useFinder(points: readonly GradedPoint[], vehicle: Vehicle): FindPoint | null {
  const [find, setFind] = useState<FindPoint | null>(null);
  useEffect(() => {
    let left = false;
    void import('minisearch').then(({ default: Index }) => {
      if (!left) setFind(() => pointFinder(Index, points, vehicle));
    });
    return () => {
      left = true;
    };
  }, [points, vehicle]);
  return find;
}

const styles = StyleSheet.create({
  scroll: { padding: SPACE.m, alignItems: 'center' },
  column: { width: '100%', maxWidth: 560, gap: SPACE.m },
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
});
