import { currentFindings, pointKey, walkSteps, type Finding, type GradedPoint, type WalkStep } from '@weskopos/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Words } from '../../kit/Words';
import { NotHere } from '../../shell/NotHere';
import { Page } from '../../shell/Page';
import { nowIso } from '../../sync/clock';
import { useVisit, type FoundVisit } from '../../sync/useLife';
import { record } from '../../sync/workshop';
import { CoverageList } from '../../visit/CoverageList';
import type { Target } from '../../visit/findings';
import { gradingOf, historyOf } from '../../visit/visitContext';
import { amend as say } from '@weskopos/words/en/pages/amend';
import { pointShort, pointWords } from '@weskopos/words/show';
import { StepInPage } from '../walk/Step';
import { StepActions, type Panel } from '../walk/StepActions';
import { amendedSteps } from './amendedSteps';

/** Says something of a signed visit otherwise: the point, what is so, and why. What was signed stays beside it. */
export function AmendPage() {
  const { id, visit } = useLocalSearchParams<{ id: string; visit: string }>();
  const found = useVisit(id, visit);
  const [key, setKey] = useState<string | null>(null);
  if (!found || found.visit.inspection.signedAt === null || found.visit.inspection.voidedAt !== null)
    return <NotHere />;
  return key === null ? (
    <WhichPoint found={found} onPoint={({ key: chosen }) => setKey(chosen)} />
  ) : (
    <OnePoint found={found} pointKey={key} onLeave={() => setKey(null)} />
  );
}

interface WhichPointProps {
  readonly found: FoundVisit;
  readonly onPoint: (point: GradedPoint) => void;
}

function WhichPoint({ found, onPoint }: WhichPointProps) {
  const [search, setSearch] = useState('');
  const { vehicle, points } = useMemo(() => amendedSteps(found), [found]);
  const axles = vehicle.axles.length;
  const wanted = search.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const named = points.filter(({ point, place }) => {
    const name = pointWords(point, place, axles).toLowerCase();
    return wanted.every((word) => name.includes(word));
  });
  return (
    <Page title={say.amend} over={vehicle.fleetCode} back={reportOf(found)}>
      <Words>{say.whichPoint}</Words>
      <Field label={say.find} value={search} onChangeText={setSearch} />
      {named.length === 0 ? <Words>{say.noneCalledThat}</Words> : null}
      <CoverageList points={named} axles={axles} onPoint={onPoint} />
    </Page>
  );
}

const reportOf = ({ life, visit }: FoundVisit) =>
  `/vehicle/${life.vehicle.id}/visit/${visit.inspection.id}/report` as const;

interface OnePointProps {
  readonly found: FoundVisit;
  readonly pointKey: string;
  readonly onLeave: () => void;
}

function OnePoint({ found, pointKey: key, onLeave }: OnePointProps) {
  const router = useRouter();
  const [why, setWhy] = useState('');
  const [draft, setDraft] = useState<Finding | null>(null);
  const [panel, setPanel] = useState<Panel>(null);
  const { life, visit, rules, earlier } = found;
  const { vehicle } = useMemo(() => amendedSteps(found), [found]);
  const { inspection, findings } = visit;
  const step = useMemo(() => stepOf(found, key), [found, key]);
  const background = useMemo(() => {
    const told = draft ? [...findings, { ...draft, by: '' }] : findings;
    return {
      grading: gradingOf({ ...life, vehicle }, { ...visit, findings: told }, rules),
      history: historyOf(vehicle, inspection, earlier, rules),
    };
  }, [draft, findings, life, vehicle, visit, rules, inspection, earlier]);
  const target: Target = useMemo(
    () => ({
      vehicleId: life.vehicle.id,
      visitId: inspection.id,
      draft: { now: draft, before: currentFindings(findings).standing.get(key), set: setDraft },
    }),
    [life.vehicle.id, inspection.id, draft, findings, key],
  );
  const [point] = step?.points ?? [];
  if (!step || !point) return <NotHere />;
  const keep = async () => {
    if (!draft) return;
    const told = { id: crypto.randomUUID(), inspectionId: inspection.id, at: nowIso(), why: why.trim() };
    await record({ kind: 'amendment.put', body: { ...told, finding: draft } });
    router.replace(reportOf(found));
  };
  return (
    <Page
      title={say.amend}
      over={vehicle.fleetCode}
      back={reportOf(found)}
      foot={
        <>
          <Press label={say.anotherPoint} onPress={onLeave} />
          <Press
            kind="main"
            label={say.keep}
            disabled={!draft || why.trim() === ''}
            onPress={() => void keep()}
            style={styles.grow}
          />
        </>
      }
    >
      <StepInPage
        step={step}
        position={say.asSigned(pointShort(point.point, point.place, vehicle))}
        vehicle={vehicle}
        background={background}
        target={target}
      />
      <StepActions
        step={step}
        steps={[step]}
        background={background}
        target={target}
        panel={panel}
        onPanel={setPanel}
        undoable={draft !== null}
        onUndo={() => setDraft(null)}
      />
      <View style={styles.why}>
        <Field label={say.why} value={why} onChangeText={setWhy} maxLength={500} />
        <Words size="m" soft>
          {draft ? say.whatIsKept : say.nothingSaidYet}
        </Words>
      </View>
    </Page>
  );
}

/** The step of the walk with this point alone. */
function stepOf({ life, visit, rules }: FoundVisit, key: string): WalkStep | null {
  const vehicle = visit.sheet?.vehicle ?? life.vehicle;
  const steps = walkSteps({ vehicle, template: rules.template, house: rules.house, focus: visit.inspection.focus });
  for (const step of steps) {
    const points = step.points.filter(({ point, place }) => pointKey(point, place) === key);
    if (points.length > 0) return { ...step, points };
  }
  return null;
}

const styles = StyleSheet.create({ grow: { flex: 1 }, why: { gap: SPACE.xs } });
