import { isOpen, coldGate } from '@weskopos/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { Words } from '../../kit/Words';
import { useVisit } from '../../sync/useLife';
import { words } from '../../words/en';
import { NotHere } from '../../shell/NotHere';
import { GateCard } from './GateCard';
import { useVisitPoints } from './useVisitPoints';
import { ends as say } from '../../words/en/pages/ends';

/** The cold gate: under a minute, before anyone turns the key. */
export function GatePage() {
  const { id, visit: visitId } = useLocalSearchParams<{ id: string; visit: string }>();
  const found = useVisit(id, visitId);
  const points = useVisitPoints(found);
  const router = useRouter();
  // A signed visit is fixed: nothing is opened or closed in it.
  if (!found || !isOpen(found.visit.inspection)) return <NotHere />;
  const { vehicle } = found.life;
  const gate = coldGate(vehicle, found.visit.acts, points);
  const answered = gate.answers.every(({ answer }) => answer !== 'open');
  return (
    <Page
      title={say.coldGate}
      over={`${vehicle.fleetCode} · ${vehicle.make} ${vehicle.model}`}
      back={`/vehicle/${id}`}
      foot={
        <Press
          kind="main"
          label={answered ? say.toTheWalk : say.toTheWalkGateStill}
          onPress={() => router.replace(`/vehicle/${id}/visit/${visitId}`)}
          style={{ flex: 1 }}
        />
      }
    >
      <Words>{words.caution.cold}</Words>
      <GateCard vehicle={vehicle} visit={found.visit} points={points} />
    </Page>
  );
}
