import { isOpen, pointKey } from '@weskopos/core';
import { coldGate } from '@weskopos/core/walk';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { useIsWide } from '../../kit/theme';
import { Words } from '../../kit/Words';
import { useVisit, type FoundVisit } from '../../sync/useLife';
import { words } from '@weskopos/words/en';
import { NotHere } from '../../shell/NotHere';
import { Spine } from '../walk/Spine';
import { useWalkPoints } from '../walk/useWalkPoints';
import { GateCard } from './GateCard';
import { GateLook } from './GateLook';
import { ends as say } from '@weskopos/words/en/pages/ends';

/** The cold gate: under a minute, before anyone turns the key. */
export function GatePage() {
  const { id, visit: visitId } = useLocalSearchParams<{ id: string; visit: string }>();
  const found = useVisit(id, visitId);
  // A signed visit is fixed: nothing is opened or closed in it.
  if (!found || !isOpen(found.visit.inspection)) return <NotHere />;
  return <Gate found={found} />;
}

function Gate({ found }: { readonly found: FoundVisit }) {
  const router = useRouter();
  const { vehicle } = found.life;
  const { inspection, acts } = found.visit;
  const { background, steps, points } = useWalkPoints(found);
  const wide = useIsWide();
  const gate = coldGate(background.grading, acts);
  const seen = gate.answers.every(({ answer }) => answer !== 'open');
  const shut = gate.answers.some(({ answer, letOver }) => answer === 'no' && letOver === null);
  const target = useMemo(() => ({ vehicleId: vehicle.id, visitId: inspection.id }), [vehicle.id, inspection.id]);
  const visit = `/vehicle/${vehicle.id}/visit/${inspection.id}` as const;
  const toPoint = (at: string | undefined) => router.replace(at ? { pathname: visit, params: { at } } : visit);
  const page = (
    <Page
      title={say.coldGate}
      over={`${vehicle.fleetCode} · ${vehicle.make} ${vehicle.model}`}
      foot={
        <Press
          kind="main"
          label={shut ? say.toTheWalkShut : seen ? say.toTheWalk : say.toTheWalkGateStill}
          onPress={() => toPoint(undefined)}
          style={styles.grow}
        />
      }
    >
      <Words size="s">{`${words.caution.cold} ${words.atPoint['hot-cooling']} ${words.atPoint['key-out']}`}</Words>
      <GateLook lines={gate.answers} background={background} target={target} />
      <GateCard gate={gate} visitId={inspection.id} />
    </Page>
  );
  if (wide) return page;
  return (
    <View style={styles.beside}>
      <Spine
        {...{ steps, points }}
        current="cold"
        axles={vehicle}
        acts={acts}
        next={null}
        others={[]}
        onStop={(stop) => {
          const [first] = steps.find((step) => step.stop === stop)?.points ?? [];
          toPoint(first && pointKey(first.point, first.place));
        }}
        onLooseEnds={() => router.push(`${visit}/ends`)}
        onEnd={() => router.push(`${visit}/overview`)}
        onYard={() => router.replace('/')}
        onJump={() => toPoint(undefined)}
      />
      {page}
    </View>
  );
}

const styles = StyleSheet.create({ beside: { flex: 1, flexDirection: 'row' }, grow: { flex: 1 } });
