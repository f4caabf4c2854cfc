import type { Verified } from '@weskopos/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { LinkPress } from '../../kit/LinkPress';
import { Press } from '../../kit/Press';
import { Problem } from '../../kit/Problem';
import { usePalette } from '../../kit/theme';
import { SPACE, TOUCH } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { call } from '../../sync/workshop';
import { data as say } from '@weskopos/words/en/pages/data';
import { problemWords } from '../../words/problemWords';
import { day } from '@weskopos/words/show';

/** Everything that was signed is looked at, when a lead asks. */
export function CheckSigned() {
  const [found, setFound] = useState<Verified | 'looking' | null>(null);
  const [problem, setProblem] = useState<string>();
  const check = () => {
    setFound('looking');
    setProblem(undefined);
    call('verify', { body: {} }).then(setFound, (error: unknown) => {
      setFound(null);
      setProblem(problemWords(error));
    });
  };
  return (
    <Card>
      <Heading level={2}>{say.check}</Heading>
      <Words>{say.checkHelp}</Words>
      <View role="status" aria-live="polite" style={styles.told}>
        {found === 'looking' ? <Words>{say.checking}</Words> : null}
        {found !== null && found !== 'looking' ? <Found found={found} /> : null}
      </View>
      <Problem>{problem}</Problem>
      <Press label={say.checkNow} disabled={found === 'looking'} onPress={check} />
    </Card>
  );
}

function Found({ found: { breaks, signatures, photos, unsealed } }: { readonly found: Verified }) {
  const palette = usePalette();
  return (
    <>
      {breaks.length === 0 ? (
        <Words strong>{say.holds(signatures, photos)}</Words>
      ) : (
        <Words strong colour={palette.fail}>
          {say.breaks(breaks.length)}
        </Words>
      )}
      {breaks.map(({ code, vehicleId, fleetCode, inspectionId, startedAt, about }) => (
        <View key={`${code} ${vehicleId} ${about}`}>
          <Words>{say.broken[code]}</Words>
          <LinkPress
            href={
              startedAt && inspectionId ? `/vehicle/${vehicleId}/visit/${inspectionId}/report` : `/vehicle/${vehicleId}`
            }
            style={styles.link}
          >
            <Words size="m" soft>
              {say.brokenAt(fleetCode, startedAt && day(startedAt), about)}
            </Words>
          </LinkPress>
        </View>
      ))}
      {unsealed > 0 ? <Words soft>{say.unsealed(unsealed)}</Words> : null}
    </>
  );
}

const styles = StyleSheet.create({
  told: { gap: SPACE.s },
  link: { minHeight: TOUCH.least, justifyContent: 'center' },
});
