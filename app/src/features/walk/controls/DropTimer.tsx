import { dripLoss, dropRate, type LeakObservation } from '@weskopos/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../../kit/Choice';
import { Press } from '../../../kit/Press';
import { SPACE } from '../../../kit/tokens';
import { Words } from '../../../kit/Words';
import { controls as say } from '@weskopos/words/en/pages/controls';

interface DropTimerProps {
  readonly leak: LeakObservation;
  readonly set: (change: Partial<LeakObservation>) => void;
}

const WHEN = ['always', 'only-running'] as const;
/** Hours a day the engine of a working vehicle runs, for what drips only then. */
const RUNNING_HOURS = 2;

/** Tap with every drop: the taps make drops per minute, and those what is lost in a day. */
export function DropTimer({ leak, set }: DropTimerProps) {
  const [taps, setTaps] = useState<readonly number[]>([]);
  const tap = () => {
    const next = [...taps, performance.now()];
    setTaps(next);
    const rate = dropRate(next);
    if (rate !== null) set({ dropsPerMinute: Math.round(rate * 10) / 10 });
  };
  const hours = leak.onlyRunning ? RUNNING_HOURS : 24;
  const loss = leak.dropsPerMinute === null ? null : dripLoss(leak.dropsPerMinute, hours, null);
  return (
    <View style={styles.timer}>
      <View style={styles.row}>
        <Press
          label={taps.length === 0 ? say.tapWithEveryDrop : say.drop(taps.length)}
          onPress={tap}
          style={styles.tap}
        />
        {taps.length > 0 ? <Press label={say.again} hint={say.countAgain} onPress={() => setTaps([])} /> : null}
      </View>
      {loss ? (
        <Words size="m">{say.dropsAMinuteAboutMl(leak.dropsPerMinute, Math.round(loss.mlPerDay), hours)}</Words>
      ) : null}
      <Choice
        label={say.itDrips}
        options={WHEN}
        word={(when) => (when === 'always' ? say.standingToo : say.onlyWhenRunning)}
        value={leak.onlyRunning === null ? null : leak.onlyRunning ? 'only-running' : 'always'}
        onChoose={(when) => set({ onlyRunning: when === 'only-running' })}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  timer: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s },
  tap: { flexGrow: 1, minHeight: 64 },
});
