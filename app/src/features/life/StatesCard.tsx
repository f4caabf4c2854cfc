import type { StateTrend, Vehicle } from '@weskopos/core';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { followedByEnter } from '../../kit/followedByEnter';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { SPACE, TOUCH } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Heading, Label, Words } from '../../kit/Words';
import { shortWhen } from '@weskopos/words/forecastSentence';
import { pointShort } from '@weskopos/words/show';
import { stateSentence, stateWords } from '@weskopos/words/stateSentence';
import { common } from '@weskopos/words/en/pages/common';
import { life as say } from '@weskopos/words/en/pages/life';

interface StatesCardProps {
  readonly vehicle: Vehicle;
  readonly states: readonly StateTrend[];
  readonly onShow: (key: string) => void;
}

/** Shown before one asks for the rest. */
const FIRST = 4;

/** Fluids, battery and pressures over time, the most urgent first. */
export function StatesCard({ vehicle, states, onShow }: StatesCardProps) {
  const palette = usePalette();
  const [all, setAll] = useState(false);
  if (states.length === 0) return null;
  return (
    <Card>
      <Heading level={2}>{say.fluidsBatteryPressures}</Heading>
      {states.slice(0, all ? undefined : FIRST).map((trend) => {
        const { key, point, place, readings, forecast } = trend;
        const last = readings.at(-1);
        return (
          <Pressable
            key={key}
            role="link"
            {...followedByEnter(() => onShow(key))}
            onPress={() => onShow(key)}
            style={[styles.row, { borderColor: palette.rule }]}
          >
            <View style={styles.grow}>
              <Words>{`${pointShort(point, place, vehicle)} ${last ? stateWords(trend, last.value, vehicle.spec) : ''}`}</Words>
              {forecast ? null : (
                <Words size="m" soft>
                  {stateSentence(trend, vehicle.spec)}
                </Words>
              )}
            </View>
            {forecast ? (
              <Label size="l" colour={forecast.status === 'reached' ? palette.fail : palette.forecast}>
                {shortWhen(forecast, vehicle.meterUnit)}
              </Label>
            ) : null}
          </Pressable>
        );
      })}
      {states.length > FIRST && !all ? (
        <Press label={common.allOf(states.length)} onPress={() => setAll(true)} />
      ) : null}
    </Card>
  );
}

const styles = StyleSheet.create({
  row: { minHeight: TOUCH.least, flexDirection: 'row', alignItems: 'center', gap: SPACE.s, borderTopWidth: 1 },
  grow: { flex: 1 },
});
