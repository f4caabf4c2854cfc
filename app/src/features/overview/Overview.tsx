import { currentFindings, verdictFor, worstFirst } from '@weskopos/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Page } from '../../kit/Page';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { useIsWide, usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { useVisit } from '../../sync/useLife';
import { record } from '../../sync/workshop';
import { words } from '../../words/en';
import { pointWords } from '../../words/show';
import { Decks } from '../decks/Decks';
import { NotHere } from '../root/NotHere';
import { CoverageList } from './CoverageList';
import { PointLine } from './PointLine';
import { SystemsCard } from './SystemsCard';
import { VerdictCard } from './VerdictCard';

/** Before signing: what failed, what was not seen, what two people saw differently. Signing fixes the visit. */
export function Overview() {
  const { id, visit: visitId } = useLocalSearchParams<{ id: string; visit: string }>();
  const found = useVisit(id, visitId);
  const router = useRouter();
  const palette = usePalette();
  const wide = useIsWide();
  const [asked, setAsked] = useState(false);
  if (!found) return <NotHere />;
  const { vehicle } = found.life;
  const { inspection, findings } = found.visit;
  const verdict = verdictFor(vehicle, inspection, findings, found.rules);
  const { forks } = currentFindings(findings);
  const axles = vehicle.axles.length;
  const unseen = verdict.counts['not-seen'];
  const walk = `/vehicle/${id}/visit/${visitId}` as const;
  const report = () => router.replace(`/vehicle/${id}/visit/${visitId}/report`);

  const sign = async () => {
    if (unseen > 0 && !asked) return setAsked(true);
    await record({ kind: 'inspection.sign', body: { inspectionId: visitId, signedAt: new Date().toISOString() } });
    report();
  };

  return (
    <Page
      title="Overview"
      over={`${vehicle.fleetCode} · ${vehicle.make} ${vehicle.model}`}
      back={walk}
      width={wide ? 1080 : 640}
      foot={
        inspection.signedAt ? (
          <Press kind="main" label="See the report" onPress={report} style={styles.grow} />
        ) : (
          <Press
            kind="main"
            label={unseen > 0 && asked ? `Sign with ${unseen} not seen` : 'Sign'}
            onPress={() => void sign()}
            style={styles.grow}
          />
        )
      }
    >
      <View style={wide ? styles.panes : styles.stack}>
        <View style={wide ? styles.pane : styles.stack}>
          <VerdictCard verdict={verdict} when="so far" />
          <SystemsCard systems={verdict.systems} />
          {asked && unseen > 0 ? (
            <Card ground={palette.advisoryWash}>
              <Words role="alert">{`${unseen} points were not seen. The report will name them; they count as not seen, not as pass. Sign again to go ahead, or tap one to look at it.`}</Words>
            </Card>
          ) : null}
          {verdict.counts.fail > 0 ? (
            <Card ground={palette.failWash}>
              <Words>{words.caution.fail}</Words>
            </Card>
          ) : null}
          {forks.size > 0 ? (
            <Card>
              <Heading level={2}>Seen twice</Heading>
              {[...forks.values()].map(([first]) =>
                first ? (
                  <Words
                    key={first.id}
                  >{`${pointWords(first.point, first.place, axles)}: two entries are kept; the newer one counts. Read it once more to settle it.`}</Words>
                ) : null,
              )}
            </Card>
          ) : null}
          {worstFirst(verdict.points).length > 0 ? (
            <Card>
              <Heading level={2}>Worst first</Heading>
              {worstFirst(verdict.points).map((graded) => (
                <PointLine key={graded.key} graded={graded} axles={axles} />
              ))}
            </Card>
          ) : null}
          <Decks axles={vehicle.axles} points={verdict.points} />
        </View>
        <View style={wide ? styles.pane : styles.stack}>
          <Heading level={2}>Every point</Heading>
          <CoverageList
            points={verdict.points}
            axles={axles}
            onPoint={(point) => router.replace(`${walk}?at=${encodeURIComponent(point.key)}` as typeof walk)}
          />
        </View>
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.l },
  panes: { flexDirection: 'row', gap: SPACE.xl, alignItems: 'flex-start' },
  pane: { flex: 1, gap: SPACE.l },
  grow: { flex: 1 },
});
