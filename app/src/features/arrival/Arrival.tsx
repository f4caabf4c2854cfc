import type { Life, Visit } from '@weskopos/contract';
import { blankInspection } from '@weskopos/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useWatch } from 'react-hook-form';
import { useCheckedForm } from '../../controls/useCheckedForm';
import { Press } from '../../kit/Press';
import { Words } from '../../kit/Words';
import { NotHere } from '../../shell/NotHere';
import { Page } from '../../shell/Page';
import { nowIso } from '../../sync/clock';
import { newestVisits } from '../../sync/foldLife';
import { useLife } from '../../sync/useLife';
import { record } from '../../sync/workshop';
import { words } from '@weskopos/words/en';
import { dayAndTime } from '@weskopos/words/show';
import { ArrivalFields } from './ArrivalFields';
import { BLANK_ARRIVAL, arrivedWith, lastMeter, problemsOf, type ArrivalForm, type MeterFacts } from './arrivalForm';
import { useOffered } from './useOffered';

/** Who it is, how far it has come, what the keeper says, and in what state it stands. */
export function Arrival() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const life = useLife(id);
  if (!life) return <NotHere />;
  const open = newestVisits(life).open;
  return open ? <HalfDone life={life} open={open} /> : <Arriving life={life} />;
}

/** One visit at a time: what is half done is gone on with, or given up, before another is begun. */
function HalfDone({ life: { vehicle }, open }: { readonly life: Life; readonly open: Visit }) {
  const router = useRouter();
  const { id, startedAt } = open.inspection;
  return (
    <Page
      title={words.arrival.title}
      over={`${vehicle.fleetCode} · ${vehicle.make} ${vehicle.model}`}
      foot={
        <Press
          kind="main"
          label={words.arrival.goOn}
          onPress={() => router.replace(`/vehicle/${vehicle.id}/visit/${id}`)}
          style={{ flex: 1 }}
        />
      }
    >
      <Words>{words.arrival.halfDone(dayAndTime(startedAt), open.inspector)}</Words>
      <Press
        label={words.arrival.toOverview}
        onPress={() => router.replace(`/vehicle/${vehicle.id}/visit/${id}/overview`)}
      />
    </Page>
  );
}

function Arriving({ life }: { readonly life: Life }) {
  const { vehicle } = life;
  const router = useRouter();
  const last = lastMeter(life.visits);
  const factsAt = (now: string): MeterFacts => ({ unit: vehicle.meterUnit, last, now });
  const form = useCheckedForm<ArrivalForm>(BLANK_ARRIVAL, (typed) => problemsOf(typed, factsAt(nowIso())));
  const { control } = form;
  const offered = useOffered(life, useWatch({ control, name: 'template' }));
  const begin = form.handleSubmit(async (typed) => {
    const { chosen, focus, pointCount, rulebook } = offered;
    if (!chosen || pointCount === 0 || !typed.state) return;
    const [visit, now] = [crypto.randomUUID(), nowIso()];
    const begun = { id: visit, vehicleId: vehicle.id, startedAt: now, state: typed.state, focus };
    const rules = { rulebook: rulebook.version, template: chosen.code };
    await record({
      kind: 'inspection.start',
      body: blankInspection({ ...begun, ...rules, ...arrivedWith(typed, factsAt(now)) }),
    });
    router.replace(`/vehicle/${vehicle.id}/visit/${visit}/gate`);
  });
  return (
    <Page
      title={words.arrival.title}
      over={`${vehicle.fleetCode} · ${vehicle.make} ${vehicle.model}`}
      foot={<Press kind="main" label={words.arrival.begin} onPress={() => void begin()} style={{ flex: 1 }} />}
    >
      <ArrivalFields form={form} vehicle={vehicle} facts={factsAt(nowIso())} offered={offered} />
    </Page>
  );
}
