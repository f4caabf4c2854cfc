import { useLocalSearchParams, useRouter } from 'expo-router';
import { Suspense, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Later } from '../../kit/Later';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { common } from '@weskopos/words/en/pages/common';
import { life as about } from '@weskopos/words/en/pages/life';
import { sheet as say } from '@weskopos/words/en/pages/sheet';
import { EntryForm } from '../desk/lazyShapes';
import { VehiclePage, type SheetProps } from '../sheet/VehiclePage';
import { LIFE_SHOWN, lifeLine, shownUnder, type LifeMark, type LifeShown } from './lifeLine';
import { LifeMoment } from './LifeMoment';
import { UsedCard } from './UsedCard';

/** Shown before all is asked for: a life may be ten years long. */
const MOST = 40;

/** One line of time: visits, jobs, parts, fuel; two marked visits are compared. */
export function LifePage() {
  // What the foot does and what the line shows are one thing.
  const [writing, setWriting] = useState(false);
  const { mark } = useLocalSearchParams<{ mark?: string }>();
  const [marked, setMarked] = useState<readonly string[] | null>(mark === undefined ? null : []);
  return (
    <VehiclePage
      page={say.life}
      foot={({ life, sheet }) =>
        marked ? (
          <Marking {...{ life, sheet, marked }} onLeave={() => setMarked(null)} />
        ) : (
          <>
            <Press label={about.writeDownFuelATop} onPress={() => setWriting(true)} style={styles.grow} />
            {sheet.signed.length > 1 ? <Press label={about.compareTwo} onPress={() => setMarked([])} /> : null}
          </>
        )
      }
    >
      {(given) => (
        <>
          {writing ? (
            <Card>
              <Suspense fallback={null}>
                <EntryForm
                  vehicle={given.life.vehicle}
                  lastMeter={given.sheet.last?.inspection.meter ?? null}
                  onDone={() => setWriting(false)}
                />
              </Suspense>
            </Card>
          ) : null}
          {marked ? <Words role="status">{say.markTwo}</Words> : null}
          <Line
            {...given}
            marked={marked}
            onMark={(id) =>
              setMarked((before) =>
                before?.includes(id) ? before.filter((one) => one !== id) : [...(before ?? []).slice(-1), id],
              )
            }
          />
        </>
      )}
    </VehiclePage>
  );
}

interface MarkingProps extends SheetProps {
  readonly marked: readonly string[];
  readonly onLeave: () => void;
}

function Marking({ life: { vehicle }, sheet: { signed }, marked, onLeave }: MarkingProps) {
  const router = useRouter();
  const [before, after] = signed.flatMap(({ inspection: { id } }) => (marked.includes(id) ? [id] : []));
  return (
    <>
      <Press label={about.leaveIt} onPress={onLeave} />
      <Press
        kind="main"
        label={say.compareMarked}
        disabled={before === undefined || after === undefined}
        onPress={() => router.push(`/vehicle/${vehicle.id}/compare?before=${before}&after=${after}`)}
        style={styles.grow}
      />
    </>
  );
}

interface LineProps extends SheetProps {
  /** Which visits are marked to be compared; null where one only reads. */
  readonly marked: readonly string[] | null;
  readonly onMark: (visitId: string) => void;
}

function Line({ life, sheet, marked, onMark }: LineProps) {
  const [shown, setShown] = useState<LifeShown>('all');
  const [all, setAll] = useState(false);
  const marks = useMemo(() => lifeLine(life), [life]);
  const asked = marked ? 'visits' : shown;
  const here = marks.filter((one) => asked === 'all' || shownUnder(one) === asked);
  const seen = all ? here : here.slice(0, MOST);
  const years = [...new Set(seen.map(yearOf))];
  const yearOfLife = (year: string) => (
    <View key={year}>
      <Heading level={2} soft>
        {year}
      </Heading>
      {seen
        .filter((one) => yearOf(one) === year)
        .map((one) => (
          <LifeMoment
            key={`${one.kind} ${one.id}`}
            {...{ mark: one, life, sheet }}
            marked={marked?.includes(one.id) ?? null}
            onMark={onMark}
          />
        ))}
    </View>
  );
  return (
    <View style={styles.stack}>
      {marked ? null : (
        <Choice
          label={say.show}
          hideLabel
          options={LIFE_SHOWN}
          word={(one) => say[one]}
          value={shown}
          onChoose={setShown}
        />
      )}
      {asked === 'fuel' || asked === 'all' ? <UsedCard life={life} /> : null}
      {here.length === 0 ? <Words soft>{marks.length === 0 ? say.nothingYet : say.nothingOfThis}</Words> : null}
      {years.slice(0, 1).map(yearOfLife)}
      <Later>{years.slice(1).map(yearOfLife)}</Later>
      {here.length > seen.length ? <Press label={common.allOf(here.length)} onPress={() => setAll(true)} /> : null}
    </View>
  );
}

const yearOf = ({ at }: LifeMark): string => at.slice(0, 4);

const styles = StyleSheet.create({
  stack: { gap: SPACE.m },
  grow: { flex: 1 },
});
