import { isOpen } from '@weskopos/core';
import { coldGate } from '@weskopos/core/walk';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo } from 'react';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { Words } from '../../kit/Words';
import { useVisit, type FoundVisit } from '../../sync/useLife';
import { words } from '../../words/en';
import { NotHere } from '../../shell/NotHere';
import { useWalkPoints } from '../walk/useWalkPoints';
import { GateCard } from './GateCard';
import { GateLook } from './GateLook';
import { ends as say } from '../../words/en/pages/ends';

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
  const { background } = useWalkPoints(found);
  const gate = coldGate(background.grading, acts);
  const seen = gate.answers.every(({ answer }) => answer !== 'open');
  const shut = gate.answers.some(({ answer, letOver }) => answer === 'no' && letOver === null);
  const target = useMemo(() => ({ vehicleId: vehicle.id, visitId: inspection.id }), [vehicle.id, inspection.id]);
  return (
    <Page
      title={say.coldGate}
      over={`${vehicle.fleetCode} · ${vehicle.make} ${vehicle.model}`}
      foot={
        <Press
          kind="main"
          label={shut ? say.toTheWalkShut : seen ? say.toTheWalk : say.toTheWalkGateStill}
          onPress={() => router.replace(`/vehicle/${vehicle.id}/visit/${inspection.id}`)}
          style={{ flex: 1 }}
        />
      }
    >
      <Words size="s">{`${words.caution.cold} ${words.atPoint['hot-cooling']} ${words.atPoint['key-out']}`}</Words>
      <GateLook lines={gate.answers} background={background} target={target} />
      <GateCard gate={gate} visitId={inspection.id} />
    </Page>
  );
}
