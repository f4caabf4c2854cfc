import { View } from 'react-native';
import { Card } from '../kit/Card';
import { Press } from '../kit/Press';
import { SPACE } from '../kit/tokens';
import { usePalette } from '../kit/theme';
import { Heading, Words } from '../kit/Words';
import { words } from '@weskopos/words/en';

/** Why the app cannot open what this device keeps, and what to do; nothing is touched. */
export function StorageNotice({ why }: { readonly why: 'newer' | 'blocked' }) {
  const palette = usePalette();
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground, padding: SPACE.l, justifyContent: 'center' }}>
      <Card>
        <Heading level={1}>{words.storage[why].title}</Heading>
        <Words role="alert">{words.storage[why].text}</Words>
        <Press kind="main" label={words.storage.again} onPress={() => window.location.reload()} />
      </Card>
    </View>
  );
}
