import type { YardEntry } from '@weskopos/contract';
import ScanLine from 'lucide-react-native/icons/scan-line';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { Suspense, lazy, memo, useEffect, useRef, useState } from 'react';
import { StyleSheet, View, type TextInput } from 'react-native';
import { Card } from '../../kit/Card';
import { Field } from '../../kit/Field';
import { GradeMark } from '../../kit/GradeMark';
import { useEnterWaits } from '../../controls/useEnterWaits';
import { Later } from '../../kit/Later';
import { Press } from '../../kit/Press';
import { Slip } from '../../kit/Slip';
import { useAfterPaint } from '../../kit/useAfterPaint';
import { SPACE, TOUCH } from '../../kit/tokens';
import { useIsWide, usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { Page } from '../../shell/Page';
import { common } from '@weskopos/words/en/pages/common';
import { yard as say } from '@weskopos/words/en/pages/yard';
import { longDay } from '@weskopos/words/show';
import { BackupAlarm } from './BackupAlarm';
import { Board } from './Board';
import { Everything } from './Everything';
import { VehicleLine } from './VehicleLine';
import { useFinder } from './useFinder';
import { useToday } from './useToday';
import { useYard } from './useYard';

const Scanner = lazy(() => import('./Scanner').then(({ Scanner: part }) => ({ default: part })));

/** Today: what is on the lift, what must not be driven, what falls due, what is new; then every vehicle. */
export function Yard() {
  const router = useRouter();
  const wide = useIsWide();
  const palette = usePalette();
  const entries = useYard();
  const { find } = useLocalSearchParams<{ find?: string }>();
  const today = useToday(entries);
  const [wanted, setWanted] = useState('');
  const [scanning, setScanning] = useState(false);
  const line = useRef<TextInput>(null);
  useEffect(() => {
    if (find === undefined) return;
    line.current?.focus();
    // Asked for once: coming back does not ask again.
    router.setParams({ find: undefined });
  }, [find, router]);
  // The letter is there at once, what it finds a moment later.
  const asked = useAfterPaint(wanted.trim());
  const results = useFinder(entries, asked);
  const enter = useEnterWaits(wanted.trim(), asked === wanted.trim() ? results?.[0]?.href : undefined, (href) =>
    router.push(href),
  );
  const { whole, ...board } = today;
  const { onLift, stopped, answered, due, fresh, changed } = board;
  const quiet = [onLift, stopped, answered, due, fresh, changed].every((list) => list.length === 0);
  // Nothing is told to be well before all of it is known here.
  const told = !whole ? (
    <Words soft role="status">
      {common.addingUp}
    </Words>
  ) : quiet ? (
    <Words soft>{say.nothingToday}</Words>
  ) : null;
  return (
    <Page
      title={longDay(today.now)}
      name={say.yard}
      width={wide ? 1040 : 640}
      footWidth={640}
      foot={
        entries.length === 0 ? (
          <Press
            kind="main"
            label={common.addAVehicle}
            onPress={() => router.push('/vehicle/new')}
            style={styles.grow}
          />
        ) : (
          <>
            <Press
              label=""
              hint={say.scan}
              icon={<ScanLine color={palette.ink} size={26} />}
              onPress={() => setScanning(true)}
              style={styles.scan}
            />
            <View style={styles.grow}>
              <Field
                label={say.find}
                hideLabel
                inputRef={line}
                value={wanted}
                onChangeText={setWanted}
                placeholder={say.findWhat}
                onSubmitEditing={enter}
                returnKeyType="search"
              />
            </View>
            {wanted ? <Press label={say.clear} onPress={() => setWanted('')} /> : null}
          </>
        )
      }
    >
      <BackupAlarm />
      {scanning ? (
        <Suspense fallback={null}>
          <Scanner entries={entries} onClose={() => setScanning(false)} />
        </Suspense>
      ) : null}
      {entries.length === 0 ? (
        <Card>
          <Heading level={2}>{say.noVehiclesYet}</Heading>
          <Words>{say.addTheFirstOneIts}</Words>
        </Card>
      ) : results ? (
        <Results results={results} entries={entries} wanted={asked} />
      ) : wide ? (
        <View style={styles.panes}>
          <View style={styles.pane}>
            {told}
            <Board {...board} />
          </View>
          <View style={styles.pane}>
            <Later>
              <Everything entries={entries} />
            </Later>
          </View>
        </View>
      ) : (
        <>
          {told}
          <Board {...board} />
          <Later>
            <Everything entries={entries} />
          </Later>
        </>
      )}
    </Page>
  );
}

interface ResultsProps {
  readonly results: NonNullable<ReturnType<typeof useFinder>>;
  readonly entries: readonly YardEntry[];
  readonly wanted: string;
}

const Results = memo(function Results({ results, entries, wanted }: ResultsProps) {
  const byId = new Map(entries.map((entry) => [entry.vehicle.id, entry]));
  const line = ({ id, kind, vehicleId, title, href }: ResultsProps['results'][number]) => {
    const entry = byId.get(vehicleId);
    if (!entry) return null;
    return kind === 'vehicle' ? (
      <VehicleLine key={id} entry={entry} />
    ) : (
      <Slip
        key={id}
        flat
        mark={<GradeMark grade={entry.standing?.grade ?? 'not-seen'} height={30} />}
        name={title}
        href={href}
      />
    );
  };
  return (
    <View role="region" aria-label={say.find} aria-live="polite">
      {results.length === 0 ? <Words>{say.noVehicleFound(wanted)}</Words> : null}
      {results.slice(0, AT_ONCE).map(line)}
      <Later key={wanted}>{results.slice(AT_ONCE, MOST_FOUND).map(line)}</Later>
    </View>
  );
});
/** As many as are seen at once: the next letter does not wait for more. */
const AT_ONCE = 10;
/** More than fit on a page say less than another word would. */
const MOST_FOUND = 30;

const styles = StyleSheet.create({
  panes: { flexDirection: 'row', gap: SPACE.xl, alignItems: 'flex-start' },
  pane: { flex: 1, gap: SPACE.l },
  scan: { width: TOUCH.hand },
  grow: { flex: 1 },
});
