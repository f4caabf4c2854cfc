import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { YardEntry } from '@weskopos/contract';
import { Card } from '../../kit/Card';
import { Field } from '../../kit/Field';
import { GradeMark } from '../../kit/GradeMark';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { gradeColours, useIsWide, usePalette } from '../../kit/theme';
import { Heading, Label, Words } from '../../kit/Words';
import { signOut, useWorkshop } from '../../sync/workshop';
import { BoltsDone } from '../../visit/BoltsDone';
import { words } from '../../words/en';
import { problemWords } from '../../words/problemWords';
import { dayAndTime, meterWords } from '../../words/show';
import { lookedWords, standingCounts } from '../../words/standingWords';
import { useYard } from './useYard';
import { yard as say } from '../../words/en/pages/yard';
import { common } from '../../words/en/pages/common';

/** Where the day begins: what is half done, then every vehicle, worst first. */
export function Yard() {
  const router = useRouter();
  const wide = useIsWide();
  const person = useWorkshop((state) => state.person);
  const entries = useYard();
  const [search, setSearch] = useState('');
  const [problem, setProblem] = useState<string>();
  const shown = useMemo(() => {
    const wanted = search.trim().toLowerCase();
    return entries.filter(({ vehicle }) =>
      [vehicle.fleetCode, vehicle.plate, vehicle.make, vehicle.model, vehicle.use]
        .join(' ')
        .toLowerCase()
        .includes(wanted),
    );
  }, [entries, search]);
  const open = shown.filter((entry) => entry.open);
  const rest = shown.filter((entry) => !entry.open);
  return (
    <Page
      title={say.yard}
      over={person ? `${person.name}, ${words.role[person.role]}` : ''}
      width={wide ? 960 : 640}
      foot={
        <>
          <Press label={common.fleet} onPress={() => router.push('/fleet')} />
          <Press label={common.addAVehicle} onPress={() => router.push('/vehicle/new')} style={styles.grow} />
        </>
      }
    >
      {problem ? <Words role="alert">{problem}</Words> : null}
      {entries.length > 5 ? (
        <Field label={say.find} value={search} onChangeText={setSearch} placeholder={say.fleetCodePlateMake} />
      ) : null}
      {entries.length === 0 ? (
        <Card>
          <Heading level={2}>{say.noVehiclesYet}</Heading>
          <Words>{say.addTheFirstOneIts}</Words>
        </Card>
      ) : null}
      {open.length > 0 ? (
        <View style={styles.group}>
          <Heading>{say.halfDone}</Heading>
          {open.map((entry) => (
            <Entry key={entry.vehicle.id} entry={entry} />
          ))}
        </View>
      ) : null}
      {rest.length > 0 ? (
        <View style={styles.group}>
          <Heading>{say.vehicles}</Heading>
          <View style={wide ? styles.grid : styles.group}>
            {rest.map((entry) => (
              <View key={entry.vehicle.id} style={wide ? styles.half : null}>
                <Entry entry={entry} />
              </View>
            ))}
          </View>
        </View>
      ) : null}
      <View style={styles.desk}>
        <Press label={common.bench} onPress={() => router.push('/bench')} />
        <Press label={common.scorecard} onPress={() => router.push('/scorecard')} />
        {person?.role === 'lead' ? (
          <>
            <Press label={common.rules} onPress={() => router.push('/rules')} />
            <Press label={common.people} onPress={() => router.push('/people')} />
          </>
        ) : null}
        <Press
          label={say.signOut}
          onPress={() => void signOut().catch((error: unknown) => setProblem(problemWords(error)))}
        />
      </View>
    </Page>
  );
}

function Entry({ entry: { vehicle, standing, last, open } }: { readonly entry: YardEntry }) {
  const router = useRouter();
  const palette = usePalette();
  const grade = standing?.grade ?? 'not-seen';
  const looked = standing?.last;
  const bolts = standing?.boltsAgain;
  return (
    <Card style={styles.entry}>
      <Pressable
        role="link"
        aria-label={say.lifeSheet(vehicle.fleetCode)}
        onPress={() => router.push(`/vehicle/${vehicle.id}`)}
        style={styles.row}
      >
        <GradeMark grade={grade} height={56} />
        <View style={styles.grow}>
          <Label size="h3">{vehicle.fleetCode}</Label>
          <Words soft>{[vehicle.make, vehicle.model, vehicle.use].filter(Boolean).join(' · ')}</Words>
          {standing && last ? (
            <Words size="m">
              <Words strong colour={gradeColours(palette, grade).line}>
                {words.grade[grade]}
              </Words>
              {` ${standingCounts(standing)} · ${meterWords(last.meter, vehicle.meterUnit)}`}
            </Words>
          ) : (
            <Words size="m">{common.neverInspected}</Words>
          )}
          {looked ? (
            <Words size="m" soft>
              {lookedWords(looked)}
            </Words>
          ) : null}
          {bolts ? (
            <Words size="m" strong colour={palette.fail}>
              {common.wheelBoltsAgainTo(meterWords(bolts.fromKm, 'km'), meterWords(bolts.toKm, 'km'))}
            </Words>
          ) : null}
          {open ? <Words size="m">{say.halfDoneSince(dayAndTime(open.startedAt))}</Words> : null}
        </View>
      </Pressable>
      {bolts ? <BoltsDone vehicleId={vehicle.id} fleetCode={vehicle.fleetCode} /> : null}
      {open ? (
        <Press
          kind="main"
          label={common.goOnWithTheVisit}
          hint={say.goOnWithTheVisit(vehicle.fleetCode)}
          onPress={() => router.push(`/vehicle/${vehicle.id}/visit/${open.inspectionId}`)}
        />
      ) : (
        <Press
          label={common.beginAVisit}
          hint={say.beginAVisitOf(vehicle.fleetCode)}
          onPress={() => router.push(`/vehicle/${vehicle.id}/arrive`)}
        />
      )}
    </Card>
  );
}

const styles = StyleSheet.create({
  group: { gap: SPACE.s },
  desk: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  grid: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.m },
  half: { flexBasis: '48%', flexGrow: 1 },
  entry: { gap: SPACE.m },
  row: { flexDirection: 'row', gap: SPACE.m, alignItems: 'center' },
  grow: { flex: 1 },
});
