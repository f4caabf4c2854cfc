import type { WalkStep } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { HouseLine } from '../../controls/HouseLine';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import type { Seats } from '@weskopos/words/show';
import { walk as say } from '@weskopos/words/en/pages/walk';
import { legWords, minutesWords } from './routeWay';
import type { WalkRoute } from './useRoute';

interface RouteListProps {
  readonly route: WalkRoute;
  readonly axles: Seats;
  readonly onGo: (step: WalkStep) => void;
  readonly onEnds: () => void;
}

/** The whole way on from here, each stop a tap away: when one is there, what runs meanwhile, what the order saves. Any other order is as welcome. */
export function RouteList({ route, axles, onGo, onEnds }: RouteListProps) {
  const named = route.legs.map((leg) => ({ ...leg, name: legWords(leg.id, route, axles) }));
  // Neighbours of one name are one, as one says it.
  const legs = named.filter((leg, index) => leg.name !== named[index - 1]?.name);
  const told = [say.toGo(minutesWords(route.totalS)), route.savedS >= 60 && say.saves(minutesWords(route.savedS))];
  return (
    <View style={styles.list}>
      <Heading level={2}>{say.route}</Heading>
      <Words soft>{told.filter(Boolean).join(' · ')}</Words>
      {legs.map((leg) => {
        const meanwhile = route.waits.find((one) => one.meanwhile.includes(leg.id));
        const [step] = route.steps.get(leg.id) ?? [];
        return (
          <Press
            key={leg.id}
            label={say.waitMinutes(
              Math.round(leg.startS / 60),
              leg.name,
              meanwhile ? say.andWhile(words.wait[meanwhile.wait].toLowerCase()) : '',
            )}
            onPress={() => (step ? onGo(step) : onEnds())}
            style={styles.leg}
          />
        );
      })}
      <Words size="s" soft>
        {say.atMostLonger(Math.ceil(route.longerAtMost * 100 - 1e-9))}
      </Words>
      <HouseLine question="beginWith" />
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s }, leg: { justifyContent: 'flex-start' } });
