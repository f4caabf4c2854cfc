import { entryOf } from '@weskopos/core';
import type { WalkStep } from '@weskopos/core';
import { memo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { usePalette } from '../../kit/theme';
import { SPACE } from '../../kit/tokens';
import { Label, Words } from '../../kit/Words';
import { words } from '../../words/en';
import { HouseLine } from '../../controls/HouseLine';
import { capital, placeWords, stopWords, type Seats } from '../../words/show';
import type { WalkRoute } from './useRoute';
import { walk as say } from '../../words/en/pages/walk';

interface RouteLineProps {
  readonly route: WalkRoute;
  readonly current: WalkStep;
  readonly axles: Seats;
  readonly onGo: (step: WalkStep) => void;
  readonly onEnds: () => void;
}

const minutes = (seconds: number) => say.minutes(Math.max(1, Math.round(seconds / 60)));

/** What a stop of the route is called: a place of the walk, or what is done to the vehicle. */
function legWords(id: string, route: WalkRoute, axles: Seats): string {
  const [first] = route.steps.get(id) ?? [];
  if (first) return capital(stopWords(first.stop, axles));
  const wheel = /^wheel\/(.+)\/(off|on)$/.exec(id);
  if (wheel?.[1]) return say.wheelMove(placeWords(wheel[1], axles), wheel[2] === 'off');
  return entryOf<string>(words.routeAct, id) ?? id;
}

/** The route as one says it: neighbours of one name are one. */
function mergedLegs(route: WalkRoute, axles: Seats) {
  const named = route.legs.map((leg) => ({ ...leg, name: legWords(leg.id, route, axles) }));
  return named.filter((leg, index) => leg.name !== named[index - 1]?.name);
}

/** The best next stop, what runs by itself meanwhile, and what the order saves. Any other order is as welcome. */
export const RouteLine = memo(function RouteLine({ route, current, axles, onGo, onEnds }: RouteLineProps) {
  const palette = usePalette();
  const [open, setOpen] = useState(false);
  const next = route.legs.find(({ id }) => !route.steps.get(id)?.some((step) => step.id === current.id));
  const here = route.legs[0]?.id;
  const stays = here !== undefined && route.steps.get(here)?.some((step) => step.id === current.id) === true;
  if (!next) return null;
  const wait = route.waits.find(({ meanwhile }) => meanwhile.includes(next.id));
  const go = () => {
    const [step] = route.steps.get(next.id) ?? [];
    if (step) onGo(step);
    else onEnds();
  };
  const why = [
    wait && say.while(words.wait[wait.wait].toLowerCase()),
    route.savedS >= 60 && say.saves(minutes(route.savedS)),
    say.toGo(minutes(route.totalS)),
  ].filter(Boolean);
  return (
    <View style={styles.stack}>
      {open ? (
        <Card>
          <ScrollView style={styles.list}>
            {mergedLegs(route, axles).map((leg) => {
              const meanwhile = route.waits.find((one) => one.meanwhile.includes(leg.id));
              return (
                <Words key={leg.id}>
                  {say.waitMinutes(
                    Math.round(leg.startS / 60),
                    leg.name,
                    meanwhile ? say.andWhile(words.wait[meanwhile.wait].toLowerCase()) : '',
                  )}
                </Words>
              );
            })}
            <Words size="s" soft>
              {say.atMostLonger(Math.ceil(route.longerAtMost * 100 - 1e-9))}
            </Words>
            <HouseLine question="beginWith" />
          </ScrollView>
        </Card>
      ) : null}
      <View style={styles.line}>
        <Press
          label={`${stays ? say.then : say.nextHint}: ${legWords(next.id, route, axles)}`}
          hint={say.nextByTheRoute(legWords(next.id, route, axles))}
          onPress={go}
          style={styles.grow}
        />
        <Press label={open ? say.close : say.route} expanded={open} onPress={() => setOpen(!open)} />
      </View>
      <Label size="m" colour={palette.forecast}>
        {why.join(' · ')}
      </Label>
    </View>
  );
});

const styles = StyleSheet.create({
  stack: { gap: SPACE.xs },
  line: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
  list: { maxHeight: 260 },
});
