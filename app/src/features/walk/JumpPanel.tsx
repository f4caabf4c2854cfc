import type { GradedPoint, Vehicle } from '@weskopos/core';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { pointWords } from '../../words/show';
import { Decks } from '../decks/Decks';
import { CoverageList } from '../../visit/CoverageList';
import { visit as aboutVisit } from '../../words/en/pages/visit';
import { walk as say } from '../../words/en/pages/walk';

interface JumpPanelProps {
  readonly vehicle: Vehicle;
  readonly points: readonly GradedPoint[];
  readonly onPoint: (key: string) => void;
  readonly onClose: () => void;
  /** To what was said on arrival, to correct it. */
  readonly onArrival: () => void;
}

/** Any point of the visit by search, on the decks, or from the list. */
export function JumpPanel({ vehicle, points, onPoint, onClose, onArrival }: JumpPanelProps) {
  const [search, setSearch] = useState('');
  const axles = vehicle.axles.length;
  const wanted = search.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const found = points.filter(({ point, place, key }) => {
    const name = `${pointWords(point, place, axles)} ${key}`.toLowerCase();
    return wanted.every((word) => name.includes(word));
  });
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
          onSubmitEditing={() => found[0] && onPoint(found[0].key)}
        />
        {wanted.length === 0 ? (
          <Decks axles={vehicle.axles} points={points} onPoint={onPoint} />
        ) : found.length === 0 ? (
          <Words>{say.noPointOfThisVisit}</Words>
        ) : null}
        {wanted.length === 0 ? <Press label={aboutVisit.correctArrival} onPress={onArrival} /> : null}
        <CoverageList points={found} axles={axles} onPoint={({ key }) => onPoint(key)} />
      </View>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  scroll: { padding: SPACE.m, alignItems: 'center' },
  column: { width: '100%', maxWidth: 560, gap: SPACE.m },
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
});
