import type { ErrorBoundaryProps } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Card } from '../kit/Card';
import { Press } from '../kit/Press';
import { SPACE } from '../kit/tokens';
import { usePalette } from '../kit/theme';
import { Heading, Words } from '../kit/Words';
import { words } from '@weskopos/words/en';

/** What a page shows when drawing it failed: that nothing is lost, a report to copy, and two ways on. */
export function ErrorNotice({ error, retry }: ErrorBoundaryProps) {
  const palette = usePalette();
  const [copied, setCopied] = useState(false);
  const report = `${window.location.pathname}\n${error.message}\n${error.stack ?? ''}`;
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground, padding: SPACE.l, justifyContent: 'center' }}>
      <Card>
        <Heading level={1}>{words.failure.title}</Heading>
        <Words role="alert">{words.failure.text}</Words>
        <Words size="s" soft>
          {error.message}
        </Words>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
          <Press kind="main" label={words.failure.again} onPress={() => void retry()} />
          <Press label={words.failure.yard} onPress={() => window.location.assign('/')} />
          <Press
            kind="quiet"
            label={copied ? words.failure.copied : words.failure.copy}
            onPress={() => void navigator.clipboard.writeText(report).then(() => setCopied(true))}
          />
        </View>
      </Card>
    </View>
  );
}
