import type { Visit } from '@weskopos/contract';
import { StyleSheet, View } from 'react-native';
import { Heading, Words } from '../../kit/Words';
import { SPACE } from '../../kit/tokens';
import { report as say } from '../../words/en/pages/report';

/** What a signature can be checked by, elsewhere and by other programs. */
export function SealNote({ seal: { hash, key, value } }: { readonly seal: NonNullable<Visit['seal']> }) {
  return (
    <View style={styles.note} {...{ dataSet: { print: 'whole' } }}>
      <Heading level={2}>{say.seal}</Heading>
      <Words size="s" soft>
        {say.sealTold(key)}
      </Words>
      {[say.sealHash(hash), say.sealValue(value)].map((line) => (
        <Words key={line} size="s" style={BROKEN}>
          {line}
        </Words>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ note: { gap: SPACE.xs } });
/** Digits without a gap are broken, not pushed out; a style of the web that React Native does not name. */
const BROKEN: object = { wordBreak: 'break-all' };
