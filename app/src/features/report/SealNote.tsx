import type { Visit } from '@weskopos/contract';
import { stickerOf } from '@weskopos/core/jobs/stickerOf';
import { StyleSheet, View } from 'react-native';
import { QrMark } from '../../kit/QrMark';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import type { FoundVisit } from '../../sync/useLife';
import { report as say } from '@weskopos/words/en/pages/report';
import { visitCode, type CodedVerdict } from '@weskopos/words/visitCode';

interface SealNoteProps {
  readonly found: FoundVisit;
  readonly seal: NonNullable<Visit['seal']>;
  readonly verdict: CodedVerdict;
}

/** What a signature can be checked by, elsewhere and by other programs; and the visit as text in a code. */
export function SealNote({ found, seal: { hash, key, value }, verdict }: SealNoteProps) {
  const { life, visit, earlier, rules } = found;
  const { dues } = stickerOf(life.vehicle, [...earlier, visit], life.entries, rules.house);
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
      <QrMark text={visitCode(life.vehicle, visit, verdict, dues)} size={200} label={say.code} />
      <Words size="s" soft>
        {say.codeHelp}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({ note: { gap: SPACE.xs } });
/** Digits without a gap are broken, not pushed out; a style of the web that React Native does not name. */
const BROKEN: object = { wordBreak: 'break-all' };
