import { useDeaf } from '../../kit/useDeaf';
import { aheadNotes, currentFindings, openEnds, verdictOfVisit, worstFirst } from '@weskopos/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Field } from '../../kit/Field';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { SPACE, TOUCH } from '../../kit/tokens';
import { useIsWide, usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { useVisit } from '../../sync/useLife';
import { nowIso } from '../../sync/clock';
import { record, useWorkshop } from '../../sync/workshop';
import { NotToDrive } from '../../visit/NotToDrive';
import { endTitle } from '@weskopos/words/endTitle';
import { Decks } from '../decks/Decks';
import { NotHere } from '../../shell/NotHere';
import { CoverageList } from '../../visit/CoverageList';
import { useTogether } from '../../visit/useTogether';
import { gradingOf } from '../../visit/visitContext';
import { ForksCard } from './ForksCard';
import { GiveUpCard } from '../../visit/GiveUpCard';
import { PointLine } from '../../visit/PointLine';
import { visit as aboutVisit } from '@weskopos/words/en/pages/visit';
import { SystemsCard } from './SystemsCard';
import { VerdictCard } from './VerdictCard';
import { overview as say } from '@weskopos/words/en/pages/overview';
import { common } from '@weskopos/words/en/pages/common';

/** Before signing: what failed, what was not seen, what two people saw differently. Signing fixes the visit. */
export function Overview() {
  const { id, visit: visitId } = useLocalSearchParams<{ id: string; visit: string }>();
  const found = useVisit(id, visitId);
  const router = useRouter();
  useTogether(id, visitId, 'sign');
  const palette = usePalette();
  const wide = useIsWide();
  const [asked, setAsked] = useState(false);
  const [over, setOver] = useState('');
  const isLead = useWorkshop(({ person }) => person?.role === 'lead');
  if (!found) return <NotHere />;
  const { vehicle } = found.life;
  const { inspection, findings } = found.visit;
  const verdict = verdictOfVisit(vehicle, found.visit, found.rules, found.lookAhead);
  const { forks, standing } = currentFindings(findings);
  const axles = vehicle.axles.length;
  const unseen = verdict.counts['not-seen'];
  const walk = `/vehicle/${id}/visit/${visitId}` as const;
  const hanging = openEnds(found.visit.acts);
  const report = () => router.replace(`/vehicle/${id}/visit/${visitId}/report`);

  const sign = async () => {
    if ((unseen > 0 || hanging.length > 0) && !asked) return setAsked(true);
    if (hanging.length > 0 && (!isLead || over.trim() === '')) return;
    const reason = hanging.length > 0 ? { over: over.trim() } : {};
    const ahead = found.lookAhead ? aheadNotes(standing, found.lookAhead) : [];
    await record({ kind: 'inspection.sign', body: { inspectionId: visitId, signedAt: nowIso(), ahead, ...reason } });
    report();
  };

  return (
    <Page
      title={say.overview}
      over={`${vehicle.fleetCode} · ${vehicle.make} ${vehicle.model}`}
      width={wide ? 1080 : 640}
      foot={
        inspection.signedAt ? (
          <Press kind="main" label={say.seeTheReport} onPress={report} style={styles.grow} />
        ) : (
          <SignRow
            unseen={asked ? unseen : 0}
            disabled={asked && hanging.length > 0 && (!isLead || over.trim() === '')}
            onSign={() => void sign()}
            onNotYet={() => setAsked(false)}
          />
        )
      }
    >
      <View style={wide ? styles.panes : styles.stack}>
        <View style={wide ? styles.pane : styles.stack}>
          <VerdictCard verdict={verdict} when={say.soFar} />
          <SystemsCard systems={verdict.systems} />
          {hanging.length > 0 && !inspection.signedAt ? (
            <Card ground={palette.failWash}>
              <Heading level={2}>{say.stillOpen(hanging.length)}</Heading>
              {hanging.map((end) => (
                <Words key={end.opened.id}>{endTitle(end, axles)}</Words>
              ))}
              <Words role={asked ? 'alert' : undefined}>{isLead ? say.leadMaySignOver : say.aVisitIsNotSigned}</Words>
              {isLead ? (
                <Field label={say.whyItIsSignedOver} value={over} onChangeText={setOver} maxLength={500} />
              ) : null}
              <Press label={say.toTheLooseEnds} onPress={() => router.push(`${walk}/ends`)} />
            </Card>
          ) : null}
          {asked && unseen > 0 ? (
            <Card ground={palette.advisoryWash}>
              <Words role="alert">{say.pointsWereNotSeenThe(unseen)}</Words>
            </Card>
          ) : null}
          <NotToDrive points={verdict.rows} seats={axles} />
          {forks.size > 0 ? (
            <ForksCard
              forks={forks}
              grading={gradingOf(found.life, found.visit, found.rules, found.lookAhead)}
              target={{ vehicleId: id, visitId }}
              signed={inspection.signedAt !== null}
            />
          ) : null}
          {worstFirst(verdict.rows).length > 0 ? (
            <Card>
              <Heading level={2}>{common.worstFirst}</Heading>
              {worstFirst(verdict.rows).map((graded) => (
                <PointLine key={graded.key} graded={graded} axles={axles} />
              ))}
            </Card>
          ) : null}
          <Decks vehicle={vehicle} points={verdict.points} />
          {inspection.signedAt ? null : (
            <>
              <Press label={aboutVisit.correctArrival} onPress={() => router.push(`${walk}/arrival`)} />
              <GiveUpCard visit={found.visit} onGivenUp={() => router.replace(`/vehicle/${id}`)} />
            </>
          )}
        </View>
        <View style={wide ? styles.pane : styles.stack}>
          <Heading level={2}>{common.everyPoint}</Heading>
          <CoverageList
            points={verdict.points}
            axles={axles}
            onPoint={(point) => router.replace(`${walk}?at=${encodeURIComponent(point.key)}`)}
          />
        </View>
      </View>
    </Page>
  );
}

interface SignRowProps {
  /** How many points are not seen, once it is asked whether to sign so; else 0. */
  readonly unseen: number;
  readonly disabled: boolean;
  readonly onSign: () => void;
  readonly onNotYet: () => void;
}

/** Signing is for good: where something was not seen it is said so elsewhere than the first touch fell. */
function SignRow({ unseen, disabled, onSign, onNotYet }: SignRowProps) {
  const deaf = useDeaf(unseen > 0);
  const asked = useRef<View>(null);
  // The button that had the focus is gone: it goes to what is asked in its place, not to the top of the page.
  useEffect(() => {
    if (unseen > 0) asked.current?.focus();
  }, [unseen]);
  if (unseen === 0)
    return <Press kind="main" label={common.sign} disabled={disabled} onPress={onSign} style={styles.grow} />;
  return (
    <View ref={asked} role="group" aria-label={common.sign} tabIndex={-1} style={styles.confirm}>
      <Press kind="main" label={say.signWithNotSeen(unseen)} disabled={disabled} deaf={deaf} onPress={onSign} />
      <Press label={say.notYet} deaf={deaf} onPress={onNotYet} style={styles.tall} />
    </View>
  );
}

const styles = StyleSheet.create({
  confirm: { flex: 1, gap: SPACE.s },
  tall: { minHeight: TOUCH.hand },
  stack: { gap: SPACE.l },
  panes: { flexDirection: 'row', gap: SPACE.xl, alignItems: 'flex-start' },
  pane: { flex: 1, gap: SPACE.l },
  grow: { flex: 1 },
});
