import { StyleSheet, View } from 'react-native';
import { SPACE } from '../../kit/tokens';
import { Heading, Label, Words } from '../../kit/Words';
import { spine as say } from '@weskopos/words/en/pages/spine';
import type { SpineStop } from './places';

/** Every key that leads somewhere, with where. */
export function KeyList({ stops }: { readonly stops: readonly SpineStop[] }) {
  const lines = [
    ...stops.map(({ letter, word }) => ({ key: say.goKey(letter), word })),
    { key: '/', word: say.find },
    { key: '?', word: say.thisList },
  ];
  return (
    <View style={styles.list}>
      <Heading level={2}>{say.keys}</Heading>
      {lines.map(({ key, word }) => (
        <View key={key} style={styles.line}>
          <Label style={styles.key}>{key}</Label>
          <Words>{word}</Words>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.xs },
  line: { flexDirection: 'row', gap: SPACE.m },
  key: { width: 48 },
});
