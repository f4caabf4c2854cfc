import type { AnswerOf } from '@weskopos/contract';
import { URGENCIES, type Vehicle } from '@weskopos/core';
import { isClosed, worksOf, type Work, type WorkState } from '@weskopos/core/works/worksOf';
import { groupBy } from '@weskopos/core/sums/groupBy';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { GradeMark } from '../../kit/GradeMark';
import { Press } from '../../kit/Press';
import { Slip } from '../../kit/Slip';
import { SPACE } from '../../kit/tokens';
import { gradeColours, usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { Page } from '../../shell/Page';
import type { KeptAnswer } from '../../sync/createWorkshop';
import { useBriefs } from '../../sync/useLife';
import { usePrices } from '../../sync/usePrices';
import { askKept, call, useWorkshop } from '../../sync/workshop';
import { prices as priceWords } from '@weskopos/words/en/pages/prices';
import { calendar } from '@weskopos/words/en/pages/calendar';
import { works as say } from '@weskopos/words/en/pages/works';
import { day } from '@weskopos/words/show';
import { gradeOfUrgency, reasonWords, taskWords, urgencyWords } from '@weskopos/words/workWords';
import { useLiveWorks } from '../../visit/useLiveWorks';
import { useDesk } from '../fleet/useDesk';
import { CalendarCard } from './CalendarCard';
import { PricesCard } from './PricesCard';

type Told = KeptAnswer<AnswerOf<'works'>>;
const askWorks = () => askKept('works', () => call('works'));

/** What is worked at first stands first. */
const SECTIONS = ['planned', 'agreed', 'asked', 'put', 'declined', 'proposed'] as const satisfies readonly WorkState[];

interface OfVehicle {
  readonly vehicle: Vehicle;
  readonly work: Work;
}

/** What is to be done at all vehicles, by how it stands. */
export function AllWorksPage() {
  const palette = usePalette();
  const [asked, setAsked] = useState<'calendar' | 'prices' | null>(null);
  const [kept, setKept] = useState(0);
  const prices = usePrices(kept);
  const isLead = useWorkshop((state) => state.person?.role === 'lead');
  const [again, setAgain] = useState(0);
  useLiveWorks(null, () => setAgain((before) => before + 1));
  const { answer, problem } = useDesk<Told>(askWorks, null, again);
  const works = useOpenWorks(answer?.answer);
  return (
    <Page
      title={say.title}
      width={760}
      foot={
        <>
          <Press label={calendar.name} onPress={() => setAsked('calendar')} style={styles.grow} />
          {isLead && prices ? (
            <Press label={priceWords.name} onPress={() => setAsked('prices')} style={styles.grow} />
          ) : null}
        </>
      }
    >
      {asked === 'calendar' ? <CalendarCard vehicleId={null} onDone={() => setAsked(null)} /> : null}
      {asked === 'prices' && prices ? (
        <PricesCard prices={prices} onKept={() => setKept((before) => before + 1)} onDone={() => setAsked(null)} />
      ) : null}
      {problem || answer?.problem ? <Words role="status">{say.notReached}</Words> : null}
      {answer && works.length === 0 ? <Words soft>{say.nothingAll}</Words> : null}
      {SECTIONS.map((state) => {
        const here = works.filter(({ work }) => work.state === state);
        return here.length === 0 ? null : (
          <View key={state} style={styles.section}>
            <Heading level={2}>{say.bySection[state]}</Heading>
            {here.map(({ vehicle, work }) => (
              <Slip
                key={work.id}
                mark={<GradeMark grade={gradeOfUrgency(work.urgency)} height={44} />}
                name={`${vehicle.fleetCode}  ${taskWords(work.task, vehicle)}`}
                figure={work.plannedOn ? day(work.plannedOn) : ''}
                figureColour={gradeColours(palette, 'pass').line}
                why={[urgencyWords(work.urgency, work.from, work.to), reasonWords(work.reasons, vehicle)]
                  .filter(Boolean)
                  .join('. ')}
                href={`/vehicle/${vehicle.id}/works`}
              />
            ))}
          </View>
        );
      })}
    </Page>
  );
}

/** Works that are not closed, with what waits on this device, soonest first. */
function useOpenWorks(told: AnswerOf<'works'> | undefined): readonly OfVehicle[] {
  const briefs = useBriefs();
  const pending = useWorkshop((state) => state.pending);
  return useMemo(() => {
    const known = told ?? [];
    const ids = new Set(known.map(({ id }) => id));
    const waiting = pending.flatMap(({ kind, body }) => (kind === 'entry.put' && !ids.has(body.id) ? [body] : []));
    const byVehicle = groupBy([...known, ...waiting], ({ vehicleId }) => vehicleId);
    const soon = ({ work }: OfVehicle) => [work.plannedOn ?? '9', URGENCIES.indexOf(work.urgency)].join(' ');
    return [...byVehicle]
      .flatMap(([vehicleId, entries]) => {
        const vehicle = briefs.get(vehicleId)?.vehicle;
        return vehicle
          ? worksOf(entries)
              .filter((work) => !isClosed(work))
              .map((work) => ({ vehicle, work }))
          : [];
      })
      .sort((a, b) => soon(a).localeCompare(soon(b)));
  }, [told, briefs, pending]);
}

const styles = StyleSheet.create({ section: { gap: SPACE.s }, grow: { flex: 1 } });
