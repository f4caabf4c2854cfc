import type { AnswerOf, Calendar, CalendarOf } from '@weskopos/contract';
import { CALENDAR_PATH } from '@weskopos/contract/device';
import { calendar as say } from '@weskopos/words/en/pages/calendar';
import { day } from '@weskopos/words/show';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Press } from '../../kit/Press';
import { Problem } from '../../kit/Problem';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { call } from '../../sync/workshop';
import { problemWords } from '../../words/problemWords';
import { SecretAddress } from './SecretAddress';

interface CalendarCardProps {
  /** Whose works one looks at; null for all vehicles. */
  readonly vehicleId: string | null;
  readonly onDone: () => void;
}

/** Lets calendar programs read what is planned: an address, told once; those that are read, each ended at any time. */
export function CalendarCard({ vehicleId, onDone }: CalendarCardProps) {
  const kinds: readonly CalendarOf[] = vehicleId === null ? ['workshop', 'person'] : ['vehicle', 'workshop', 'person'];
  const [of, setOf] = useState<CalendarOf>(kinds[0] ?? 'workshop');
  const [given, setGiven] = useState<AnswerOf<'giveCalendar'>>();
  const [calendars, setCalendars] = useState<readonly Calendar[]>([]);
  const [problem, setProblem] = useState<string>();
  const failed = (error: unknown) => setProblem(problemWords(error));
  useEffect(() => {
    call('calendars').then(setCalendars, (error: unknown) => setProblem(problemWords(error)));
  }, []);
  const make = async () => {
    setProblem(undefined);
    setGiven(await call('giveCalendar', { body: { of, vehicleId: of === 'vehicle' ? vehicleId : null } }));
    setCalendars(await call('calendars'));
  };
  const end = async (id: string) => {
    setProblem(undefined);
    await call('endCalendar', { params: { id } });
    if (given?.id === id) setGiven(undefined);
    setCalendars(await call('calendars'));
  };
  return (
    <Card>
      <Heading level={2}>{say.name}</Heading>
      {given ? (
        <SecretAddress
          url={`${window.location.origin}${CALENDAR_PATH}/${given.token}.ics`}
          words={say}
          onFailed={failed}
        />
      ) : (
        <>
          <Words>{say.help}</Words>
          <Choice label={say.of} options={kinds} word={(one) => say.ofWord[one]} value={of} onChoose={setOf} />
        </>
      )}
      <Problem>{problem}</Problem>
      {calendars.length > 0 ? <Heading level={3}>{say.open}</Heading> : null}
      {calendars.map((one) => (
        <View key={one.id} style={styles.line}>
          <Words soft style={styles.grow}>
            {say.given(whatOf(one), one.givenBy, day(one.givenAt))}
          </Words>
          <Press label={say.end} hint={say.endOf(whatOf(one))} onPress={() => void end(one.id).catch(failed)} />
        </View>
      ))}
      <View style={styles.row}>
        <Press label={say.leave} onPress={onDone} style={styles.grow} />
        {given ? null : (
          <Press kind="main" label={say.make} onPress={() => void make().catch(failed)} style={styles.grow} />
        )}
      </View>
    </Card>
  );
}

function whatOf({ of, about }: Calendar): string {
  if (of === 'workshop') return say.ofWord.workshop;
  return of === 'vehicle' ? say.aboutVehicle(about) : say.aboutPerson(about);
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
});
