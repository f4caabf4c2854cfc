import {
  COMMON_FLUIDS,
  FLUIDS,
  LEAK_REACHES,
  LEAK_STAGES,
  cataloguePoint,
  type Finding,
  type Fluid,
  type LeakObservation,
  type PointRef,
} from '@weskopos/core';
import { useState } from 'react';
import { View, StyleSheet } from 'react-native';
import { Choice } from '../../kit/Choice';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { words } from '../../words/en';
import { capital } from '../../words/show';

interface LeakPickerProps {
  readonly pointRef: PointRef;
  readonly finding: Finding | undefined;
  readonly onLeak: (leak: LeakObservation) => void;
}

const NOTHING_YET: LeakObservation = { stage: 'dry', fluid: 'unknown', place: null, reaches: 'nothing', wiped: false };

/** Stage first; what it is, where it sits and what it reaches only when it is not dry. */
export function LeakPicker({ pointRef, finding, onLeak }: LeakPickerProps) {
  const [all, setAll] = useState(false);
  const leak = finding?.leak ?? null;
  const common: readonly Fluid[] = COMMON_FLUIDS;
  const fluids = all || (leak && !common.includes(leak.fluid)) ? FLUIDS : common;
  const set = (change: Partial<LeakObservation>) => onLeak({ ...NOTHING_YET, ...leak, ...change });
  return (
    <View style={styles.picker}>
      <Choice
        label="Stage"
        options={LEAK_STAGES}
        word={(stage) => words.stage[stage]}
        value={leak?.stage ?? null}
        onChoose={(stage) => (stage === 'dry' ? onLeak(NOTHING_YET) : set({ stage }))}
      />
      {leak && leak.stage !== 'dry' ? (
        <>
          <Choice
            label="Fluid"
            options={fluids}
            word={(fluid) => capital(words.fluid[fluid])}
            value={leak.fluid}
            onChoose={(fluid) => set({ fluid })}
          />
          {fluids === FLUIDS ? null : (
            <Press kind="quiet" label="Other fluids…" hint="Other fluids" onPress={() => setAll(true)} />
          )}
          <Choice
            label="Place"
            options={cataloguePoint(pointRef.point).leakPlaces}
            word={(place) => capital(words.leakPlace[place])}
            value={leak.place}
            onChoose={(place) => set({ place })}
          />
          <Choice
            label="It reaches"
            options={LEAK_REACHES}
            word={(reach) => capital(words.reach[reach])}
            value={leak.reaches}
            onChoose={(reaches) => set({ reaches })}
          />
          <Press
            role="checkbox"
            label="Wiped clean for the next look"
            chosen={leak.wiped}
            onPress={() => set({ wiped: !leak.wiped })}
          />
        </>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ picker: { gap: SPACE.m } });
