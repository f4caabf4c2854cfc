import type { DeviceSession } from '@weskopos/contract';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { people as say } from '@weskopos/words/en/pages/people';
import { day } from '@weskopos/words/show';
import { deviceWords } from './deviceWords';

interface DevicesCardProps {
  readonly sessions: readonly DeviceSession[];
  /** Whether it is said whose device it is. */
  readonly named?: boolean;
  readonly onEnd: (session: DeviceSession) => void;
}

/** Where somebody is signed in, each to be ended. */
export function DevicesCard({ sessions, named = false, onEnd }: DevicesCardProps) {
  const palette = usePalette();
  if (sessions.length === 0) return null;
  return (
    <Card>
      <Heading level={2}>{say.devices}</Heading>
      {sessions.map((one) => {
        const device = deviceWords(one.device);
        return (
          <View key={one.id} style={[styles.row, { borderColor: palette.rule }]}>
            <Words style={styles.grow}>
              {[named ? one.name : '', say.devicesSince(device, day(one.openedAt)), one.here ? say.thisOne : '']
                .filter(Boolean)
                .join(' · ')}
            </Words>
            {one.here ? null : (
              <Press kind="quiet" label={say.end} hint={say.endOf(one.name, device)} onPress={() => onEnd(one)} />
            )}
          </View>
        );
      })}
    </Card>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s, borderTopWidth: 1, minHeight: 48 },
  grow: { flex: 1 },
});
