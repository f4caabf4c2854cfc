import {
  DRY,
  FLUIDS,
  LEAK_REACHES,
  LEAK_STAGES,
  cataloguePoint,
  likelyFluids,
  type LeakObservation,
} from '@weskopos/core';
import { useState } from 'react';
import { View, StyleSheet } from 'react-native';
import { Choice } from '../../../kit/Choice';
import { Press } from '../../../kit/Press';
import { SPACE } from '../../../kit/tokens';
import { Words } from '../../../kit/Words';
import { words } from '@weskopos/words/en';
import { HouseLine } from '../../../controls/HouseLine';
import { capital } from '@weskopos/words/show';
import { lookChange } from '../../../visit/readings';
import type { ControlProps } from './control';
import { DropTimer } from './DropTimer';
import { StageDrop } from './StageDrop';
import { WhichFluid } from './WhichFluid';
import { controls as say } from '@weskopos/words/en/pages/controls';
import { common as commonly } from '@weskopos/words/en/pages/common';

/** While nothing is said, *dry* is the one key in the hand zone. */
const WET = LEAK_STAGES.filter((stage) => stage !== 'dry');

/** Every leak of a point, each at its own place; stage first, the rest only when it is not dry. */
export function LeakPicker({ pointRef, finding, background, put }: ControlProps) {
  const before = background.history.lastLook(pointRef)?.finding.leaks ?? [];
  const leaks = finding?.leaks ?? [];
  const [chosen, setChosen] = useState(0);
  const index = Math.min(chosen, Math.max(0, leaks.length - 1));
  const leak = leaks[index];
  const set = (change: Partial<LeakObservation>) =>
    put(pointRef, (before) => {
      const standing = before?.leaks ?? [];
      const next = { ...DRY, ...standing[index], ...change };
      return lookChange(before, {
        leaks: standing.length === 0 ? [next] : standing.map((one, at) => (at === index ? next : one)),
      });
    });
  const leakName = (one: LeakObservation, at: number) =>
    `${at + 1}: ${one.place ? words.leakPlace[one.place] : words.stage[one.stage].toLowerCase()}`;
  return (
    <View style={styles.picker}>
      {leaks.length > 1 ? (
        <Choice
          label={say.leaksAtThisPoint}
          options={leaks.map((_, at) => String(at))}
          word={(at) => leakName(leaks[Number(at)] ?? DRY, Number(at))}
          value={String(index)}
          onChoose={(at) => setChosen(Number(at))}
        />
      ) : null}
      <Choice
        label={say.stage}
        options={leak ? LEAK_STAGES : WET}
        word={(stage) => words.stage[stage]}
        short={(stage) => words.stageShort[stage]}
        drawn={(stage, chosen) => <StageDrop stage={stage} chosen={chosen} />}
        value={leak?.stage ?? null}
        onChoose={(stage) => set(stage === 'dry' ? DRY : { stage })}
      />
      {leak && leak.stage !== 'dry' ? <LeakDetails key={index} {...{ leak, pointRef, before, set }} /> : null}
      {leak && leak.stage !== 'dry' && leak.place ? (
        <Press
          label={say.anotherLeakHere}
          onPress={() => {
            put(pointRef, (before) =>
              lookChange(before, { leaks: [...(before?.leaks ?? []), { ...DRY, stage: 'stain' }] }),
            );
            setChosen(leaks.length);
          }}
        />
      ) : null}
    </View>
  );
}

interface LeakDetailsProps {
  readonly leak: LeakObservation;
  readonly pointRef: ControlProps['pointRef'];
  /** What leaked here at the last look. */
  readonly before: readonly LeakObservation[];
  readonly set: (change: Partial<LeakObservation>) => void;
}

function LeakDetails({ leak, pointRef, before, set }: LeakDetailsProps) {
  const [all, setAll] = useState(false);
  const [asking, setAsking] = useState(false);
  const { leakPlaces } = cataloguePoint(pointRef.point);
  const likely = likelyFluids(leakPlaces, before);
  const fluids = all || !likely.includes(leak.fluid) ? FLUIDS : likely;
  // Where it leaked before comes first.
  const places = [...new Set([...before.flatMap(({ place }) => place ?? []), ...leakPlaces])];
  const drips = leak.stage === 'drop' || leak.stage === 'drip' || leak.stage === 'run';
  return (
    <>
      {leak.stage === 'damp' ? <HouseLine question="dampSeal" /> : null}
      <Choice
        label={commonly.fluid}
        oneLine={!all}
        options={fluids}
        word={(fluid) => capital(words.fluid[fluid])}
        value={leak.fluid}
        onChoose={(fluid) => set({ fluid })}
      />
      <View style={styles.row}>
        {fluids === FLUIDS ? null : (
          <Press label={say.otherFluids} hint={say.otherFluidsClosed} onPress={() => setAll(true)} />
        )}
        <Press label={say.whatIsIt} expanded={asking} onPress={() => setAsking(!asking)} />
      </View>
      {asking ? (
        <WhichFluid
          onFluid={(fluid) => {
            set({ fluid });
            setAsking(false);
          }}
        />
      ) : null}
      <Choice
        label={say.place}
        oneLine
        options={places}
        word={(place) => capital(words.leakPlace[place])}
        value={leak.place}
        onChoose={(place) => set({ place })}
      />
      <Choice
        label={say.itReaches}
        options={LEAK_REACHES}
        word={(reach) => capital(words.reach[reach])}
        value={leak.reaches}
        onChoose={(reaches) => set({ reaches })}
      />
      {drips ? <DropTimer leak={leak} set={set} /> : null}
      <Press
        role="checkbox"
        label={say.wipedCleanForTheNext}
        chosen={leak.wiped}
        onPress={() => set({ wiped: !leak.wiped })}
      />
      {leak.fluid === 'unknown' ? (
        <Words size="s" soft>
          {say.unknownIsGradedAsIf}
        </Words>
      ) : null}
    </>
  );
}

const styles = StyleSheet.create({
  picker: { gap: SPACE.m },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
