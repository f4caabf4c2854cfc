import {
  USUAL_WAIT_S,
  openEnds,
  vehicleState,
  type GradingContext,
  type StateChange,
  type Vehicle,
  capacityL,
} from '@weskopos/core';
import { coldGate, startBlockers } from '@weskopos/core/walk';
import type { Visit } from '@weskopos/contract';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { usePalette } from '../../kit/theme';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { putAct } from './putAct';
import { clockWords, useNow } from '../../visit/useNow';
import { ends as say } from '@weskopos/words/en/pages/ends';

interface StateCardProps {
  readonly vehicle: Vehicle;
  readonly visit: Visit;
  readonly grading: GradingContext;
}

/** What the vehicle is doing: engine, lift, helper. The engine is not started over a closed gate or a thing that lies open. */
export function StateCard({ vehicle, visit, grading }: StateCardProps) {
  const palette = usePalette();
  const now = useNow(5000);
  const { inspection, acts } = visit;
  const state = vehicleState(inspection, acts, now);
  const gate = coldGate(grading, acts);
  const blockers = startBlockers(acts, capacityL(vehicle.spec, 'engine-oil'));
  const act = (change: StateChange) => {
    void putAct(inspection.id, { kind: 'state', change });
    if (change === 'engine-off')
      void putAct(inspection.id, { kind: 'wait', wait: 'settle', lengthS: USUAL_WAIT_S.settle });
  };
  const wheelsOff = openEnds(acts).some(({ opened }) => opened.end === 'wheel');
  const told = state.running
    ? say.runningFor(clockWords(state.sinceS), state.hot ? ', hot' : '')
    : say.engineOff(
        state.startedToday && state.sinceS < 3600 * 12 ? say.forSoLong(clockWords(state.sinceS)) : '',
        state.hot ? ', hot' : state.warm ? ', warm' : '',
      );
  return (
    <Card>
      <Heading level={2}>{say.theVehicleNow}</Heading>
      <Words>{told}</Words>
      {vehicle.makeUp.power === 'electric' ? null : (
        <View style={styles.row}>
          {state.running ? (
            <Press label={words.stateChange['engine-off']} onPress={() => act('engine-off')} style={styles.grow} />
          ) : (
            <Press
              label={say.startEngine}
              disabled={!gate.passed || blockers.length > 0}
              onPress={() => act('engine-start')}
              style={styles.grow}
            />
          )}
        </View>
      )}
      {!state.running && !gate.passed ? <Words colour={palette.fail}>{say.doNotStartTheCold}</Words> : null}
      {!state.running && blockers.length > 0 ? (
        <Words colour={palette.fail}>
          {say.doNotStart(blockers.map((end) => words.end[end].toLowerCase()).join(', '))}
        </Words>
      ) : null}
      {state.warm && !state.running && !state.coolantCool ? (
        <Press label={words.stateChange['coolant-cool']} onPress={() => act('coolant-cool')} />
      ) : null}
      <View style={styles.row}>
        <Press
          label={state.lifted ? words.stateChange['lift-down'] : words.stateChange['lift-up']}
          disabled={state.lifted === true && wheelsOff}
          onPress={() => act(state.lifted ? 'lift-down' : 'lift-up')}
          style={styles.grow}
        />
        <Press
          label={state.helper ? words.stateChange['helper-gone'] : words.stateChange['helper-here']}
          onPress={() => act(state.helper ? 'helper-gone' : 'helper-here')}
          style={styles.grow}
        />
      </View>
      {state.lifted ? <Words size="s">{words.caution.under}</Words> : null}
    </Card>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
});
