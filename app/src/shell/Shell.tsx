import { Slot, usePathname } from 'expo-router';
import { Suspense, useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { isOpen } from '@weskopos/core';
import { HandPad } from '../controls/pad/HandPad';
import { Card } from '../kit/Card';
import { Press } from '../kit/Press';
import { SkipLink } from '../kit/SkipLink';
import { SPACE } from '../kit/tokens';
import { useIsWide } from '../kit/theme';
import { useLife } from '../sync/useLife';
import { useWorkshop } from '../sync/workshop';
import { spine as say } from '@weskopos/words/en/pages/spine';
import { KeyList } from './spine/KeyList';
import { useKeys, useSpineKeys } from './spine/keys';
import { ONESELF, placesFor } from './spine/places';
import { Spine } from './spine/Spine';
import { useWaiting } from './spine/useWaiting';
import { hasOwnSpine, isWalk, vehicleOf, vehiclePages } from './spine/vehiclePages';

/** The spine, and beside it the page one is at. In the walk on a phone the spine is the walk's own line of stops. */
export function Shell() {
  const path = usePathname();
  const wide = useIsWide();
  const person = useWorkshop((state) => state.person);
  const role = person?.role ?? 'inspector';
  const vehicleId = vehicleOf(path);
  const life = useLife(vehicleId ?? '');
  const openVisit = life?.visits.findLast(({ inspection }) => isOpen(inspection))?.inspection.id ?? null;
  const places = useMemo(() => placesFor(role), [role]);
  const pages = useMemo(
    () => (life && vehicleId ? vehiclePages(vehicleId, openVisit) : []),
    [life, vehicleId, openVisit],
  );
  const stops = useMemo(() => [...places, ONESELF, ...pages], [places, pages]);
  const waiting = useWaiting(life);
  const walking = isWalk(path);
  useSpineKeys(stops, walking);
  const { listed, list } = useKeys();
  return (
    <View style={styles.shell}>
      <SkipLink label={say.toContent} onGo={toContent} />
      {hasOwnSpine(path) && !wide ? null : (
        <Spine
          {...{ places, path, wide }}
          oneself={ONESELF}
          name={person?.name ?? ''}
          vehicle={life ? { fleetCode: life.vehicle.fleetCode, pages } : null}
          waiting={waiting}
        />
      )}
      <View style={styles.page}>
        {listed ? (
          <Card style={styles.keys}>
            <KeyList stops={stops} />
            <Press label={say.close} onPress={() => list(false)} />
          </Card>
        ) : null}
        <View style={styles.page}>
          <Suspense fallback={null}>
            <Slot />
          </Suspense>
        </View>
        <HandPad />
      </View>
    </View>
  );
}

/** Past the spine, to the heading of the view: the first stop of the tab key. */
const toContent = () => document.querySelector<HTMLElement>('main [role="heading"], main h1')?.focus();

const styles = StyleSheet.create({
  shell: { flex: 1, flexDirection: 'row' },
  page: { flex: 1 },
  keys: { margin: SPACE.m },
});
