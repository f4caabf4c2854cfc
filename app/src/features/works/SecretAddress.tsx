import { useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Press } from '../../kit/Press';
import { QrMark } from '../../kit/QrMark';
import { SPACE } from '../../kit/tokens';
import { Words } from '../../kit/Words';

const CODE = 220;

interface SecretAddressProps {
  readonly url: string;
  readonly words: { readonly once: string; readonly code: string; readonly copy: string; readonly copied: string };
  readonly onFailed: (error: unknown) => void;
  /** What else can be done with it. */
  readonly children?: ReactNode;
}

/** An address that is a key, shown this once: as a code to scan, as text, to be copied. */
export function SecretAddress({ url, words, onFailed, children }: SecretAddressProps) {
  const [copied, setCopied] = useState(false);
  return (
    <View role="status" aria-live="polite" style={styles.given}>
      <Words strong>{words.once}</Words>
      <QrMark text={url} size={CODE} label={words.code} />
      <Words selectable style={BROKEN}>
        {url}
      </Words>
      {copied ? <Words>{words.copied}</Words> : null}
      <View style={styles.row}>
        <Press
          label={words.copy}
          onPress={() => void navigator.clipboard.writeText(url).then(() => setCopied(true), onFailed)}
        />
        {children}
      </View>
    </View>
  );
}

/** Letters without a gap are broken, not pushed out; a style of the web that React Native does not name. */
const BROKEN: object = { wordBreak: 'break-all' };
const styles = StyleSheet.create({
  given: { gap: SPACE.s, alignItems: 'flex-start' },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
