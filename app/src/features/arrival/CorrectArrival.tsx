import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { useCheckedForm } from '../../controls/useCheckedForm';
import { Press } from '../../kit/Press';
import { Words } from '../../kit/Words';
import { NotHere } from '../../shell/NotHere';
import { Page } from '../../shell/Page';
import { nowIso } from '../../sync/clock';
import { useVisit, type FoundVisit } from '../../sync/useLife';
import { record } from '../../sync/workshop';
import { words } from '@weskopos/words/en';
import { ArrivalFields } from './ArrivalFields';
import { arrivedWith, formOf, lastMeter, problemsOf, type ArrivalForm, type MeterFacts } from './arrivalForm';
import { useOffered } from './useOffered';

/** What was said on arrival, said anew until the visit is signed; what was found stays. */
export function CorrectArrival() {
  const { id, visit } = useLocalSearchParams<{ id: string; visit: string }>();
  const found = useVisit(id, visit);
  return found && found.visit.inspection.signedAt === null ? <Correcting found={found} /> : <NotHere />;
}

function Correcting({ found: { life, visit } }: { readonly found: FoundVisit }) {
  const { vehicle } = life;
  const { inspection } = visit;
  const router = useRouter();
  const facts: MeterFacts = {
    unit: vehicle.meterUnit,
    last: lastMeter(life.visits, inspection),
    now: inspection.startedAt,
  };
  const [said] = useState(() => formOf(inspection, vehicle.meterUnit));
  const form = useCheckedForm<ArrivalForm>(said, (typed) => problemsOf(typed, facts));
  const offered = useOffered(life, useWatch({ control: form.control, name: 'template' }));
  const walk = `/vehicle/${vehicle.id}/visit/${inspection.id}` as const;
  const correct = form.handleSubmit(async (typed) => {
    const { chosen, focus } = offered;
    if (!chosen || !typed.state) return;
    const same = chosen.code === inspection.template;
    const arrival = {
      ...arrivedWith(typed, facts),
      corners: [...typed.corners],
      state: typed.state,
      template: chosen.code,
      focus: same ? inspection.focus : focus,
    };
    await record({
      kind: 'inspection.correct',
      body: {
        inspectionId: inspection.id,
        at: nowIso(),
        arrival: { ...arrival, focus: arrival.focus && [...arrival.focus] },
      },
    });
    router.replace(walk);
  });
  return (
    <Page
      title={words.arrival.correctTitle}
      over={`${vehicle.fleetCode} · ${vehicle.make} ${vehicle.model}`}
      foot={<Press kind="main" label={words.arrival.correct} onPress={() => void correct()} style={{ flex: 1 }} />}
    >
      <Words soft>{words.arrival.correctHelp}</Words>
      <ArrivalFields form={form} vehicle={vehicle} facts={facts} offered={offered} />
    </Page>
  );
}
