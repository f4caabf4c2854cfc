import { isSigned, runOutOf } from '@weskopos/core';
import { outlookOf } from '@weskopos/core/outlook';
import { useLocalSearchParams } from 'expo-router';
import { Page } from '../../shell/Page';
import { Words } from '../../kit/Words';
import { useFleet, useLife, useRules } from '../../sync/useLife';
import { NotHere } from '../../shell/NotHere';
import { StatePanel } from './StatePanel';
import { TrendPanel } from './TrendPanel';
import { trend as say } from '@weskopos/words/en/pages/trend';

/** One series on a page of its own. */
export function TrendPage() {
  const { id, series: key } = useLocalSearchParams<{ id: string; series: string }>();
  const life = useLife(id);
  const rules = useRules();
  const fleet = useFleet();
  if (!life) return <NotHere />;
  const signed = life.visits.filter(({ inspection }) => isSigned(inspection));
  const trend = runOutOf(life.vehicle, signed, rules, { entries: life.entries, fleet }).find(
    ({ series }) => series.key === key,
  );
  const state = trend
    ? undefined
    : outlookOf(life.vehicle, signed, life.entries, rules, fleet).states.find((one) => one.key === key);
  return (
    <Page title={say.trend} over={`${life.vehicle.fleetCode} · ${life.vehicle.make} ${life.vehicle.model}`} width={760}>
      {trend ? (
        <TrendPanel vehicle={life.vehicle} trend={trend} rules={rules} entries={life.entries} fleet={fleet} />
      ) : state ? (
        <StatePanel vehicle={life.vehicle} trend={state} />
      ) : (
        <Words>{say.noReadingsOfThisPart}</Words>
      )}
    </Page>
  );
}
