import type { Presence } from '@weskopos/contract';
import { worstGrade, type Act, type Grade, type GradedPoint, type WalkStep } from '@weskopos/core';
import Search from 'lucide-react-native/icons/search';
import Warehouse from 'lucide-react-native/icons/warehouse';
import { memo, useEffect, useRef } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import Svg from 'react-native-svg';
import { SPINE, scaled } from '../../kit/textScale';
import { SPACE, TOUCH } from '../../kit/tokens';
import { gradeColours, usePalette } from '../../kit/theme';
import { Label } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { placeInitials, stopWords, type Seats } from '@weskopos/words/show';
import { walk as say } from '@weskopos/words/en/pages/walk';
import { common } from '@weskopos/words/en/pages/common';
import { DeckMark } from '../decks/DeckMark';
import { EndsStop } from './EndsStop';
import { NextByRoute } from './NextByRoute';
import type { RouteNext } from './routeWay';

interface SpineProps {
  readonly steps: readonly WalkStep[];
  readonly points: readonly GradedPoint[];
  readonly current: string;
  readonly axles: Seats;
  /** What was done to the vehicle: what hangs open and what runs by itself stand on the line. */
  readonly acts: readonly Act[];
  /** Where the route goes on; null while it is not known. */
  readonly next: RouteNext | null;
  /** Who else is at this visit, and where. */
  readonly others: Presence;
  readonly onStop: (stop: string) => void;
  readonly onLooseEnds: () => void;
  readonly onEnd: () => void;
  readonly onYard: () => void;
  readonly onJump: () => void;
}

/** The walk as a line of stops: where you are, what is behind you, what is left, and which stop the route takes next. */
export const Spine = memo(function Spine(props: SpineProps) {
  const { steps, points, current, axles, acts, next, others, onStop, onLooseEnds, onEnd, onYard, onJump } = props;
  const palette = usePalette();
  const stops = [...new Set(steps.map((step) => step.stop))];
  return (
    <View
      role="navigation"
      aria-label={say.stopsOfTheWalk}
      style={[styles.spine, { backgroundColor: palette.panel, borderColor: palette.rule }]}
    >
      <ScrollView contentContainerStyle={styles.inside}>
        <View style={[styles.line, { backgroundColor: palette.rule }]} />
        <Pressable
          role="button"
          aria-label={say.toTheYard}
          onPress={onYard}
          style={[styles.stop, { backgroundColor: palette.panel }]}
        >
          <Warehouse color={palette.ink} size={22} />
        </Pressable>
        <Pressable
          role="button"
          aria-label={say.jumpToAPoint}
          onPress={onJump}
          style={[styles.stop, { backgroundColor: palette.panel }]}
        >
          <Search color={palette.ink} size={20} />
        </Pressable>
        {stops.map((stop) => {
          const here = points.filter((point) => point.stop === stop);
          const seen = here.filter((point) => point.result.grade !== 'not-seen');
          const isNext = next?.stop === stop && stop !== current;
          return (
            <Stop
              key={stop}
              stop={stop}
              seen={seen.length}
              all={here.length}
              grade={seen.length === 0 ? 'not-seen' : worstGrade(seen.map((point) => point.result.grade))}
              isCurrent={stop === current}
              isNext={isNext}
              saves={isNext ? next.saves : ''}
              axles={axles}
              with={others
                .filter((other) => other.stop === stop)
                .map(({ name }) => name)
                .join(', ')}
              onStop={onStop}
            />
          );
        })}
        <EndsStop acts={acts} next={next && next.stop === null ? next : null} onPress={onLooseEnds} />
        <Pressable role="button" aria-label={say.overviewAndSigning} onPress={onEnd} style={styles.stop}>
          <View style={[styles.end, { borderColor: palette.ink }]} />
          <Label size="s" soft>
            {common.sign}
          </Label>
        </Pressable>
      </ScrollView>
    </View>
  );
});

interface StopProps {
  readonly stop: string;
  readonly seen: number;
  readonly all: number;
  readonly grade: Grade;
  readonly isCurrent: boolean;
  readonly isNext: boolean;
  /** What going there by the route saves; empty for nothing worth a word. */
  readonly saves: string;
  readonly axles: Seats;
  /** Names of others who are there now; empty for none. */
  readonly with: string;
  readonly onStop: (stop: string) => void;
}

/** One stop; drawn anew only when something on it changed. */
const Stop = memo(function Stop(props: StopProps) {
  const { stop, seen, all, grade, isCurrent, isNext, saves, axles, with: company, onStop } = props;
  const palette = usePalette();
  const element = useRef<View>(null);
  // On a vehicle of many axles the line is longer than the screen.
  useEffect(() => {
    if (isCurrent) (element.current as unknown as HTMLElement | null)?.scrollIntoView({ block: 'nearest' });
  }, [isCurrent]);
  const name = stopWords(stop, axles);
  const told = [
    say.ofSeen(name, seen, all),
    seen > 0 && words.grade[grade],
    company && say.isHere(company),
    isNext && say.nextByTheRoute(name),
    saves && say.saves(saves),
  ];
  return (
    <Pressable
      ref={element}
      role="button"
      aria-label={told.filter(Boolean).join(', ')}
      aria-current={isCurrent ? 'step' : undefined}
      onPress={() => onStop(stop)}
      style={styles.stop}
    >
      {isCurrent ? (
        <View style={[styles.here, { backgroundColor: palette.ink }]}>
          <Label size="m" colour={palette.ground}>{`${seen}/${all}`}</Label>
        </View>
      ) : (
        <StopMark grade={grade} isDone={seen === all} />
      )}
      {company ? (
        <View style={[styles.company, { backgroundColor: palette.forecast }]}>
          <Label size="s" colour={palette.onFill}>
            {company.slice(0, 1)}
          </Label>
        </View>
      ) : null}
      <Label size="s" soft={!isCurrent}>
        {words.stopShort[stop] ?? placeInitials(stop, axles)}
      </Label>
      {isNext ? <NextByRoute saves={saves} /> : null}
    </Pressable>
  );
});

/** How a stop stands, by shape: broken and notched as everywhere, a full disc when all is seen and well, a ring until then. */
function StopMark({ grade, isDone }: { readonly grade: Grade; readonly isDone: boolean }) {
  const palette = usePalette();
  if (isDone || grade === 'fail' || grade === 'advisory')
    return (
      <View style={{ backgroundColor: palette.panel }}>
        <Svg width={20} height={20} aria-hidden>
          <DeckMark grade={grade} x={10} y={10} />
        </Svg>
      </View>
    );
  return (
    <View style={[styles.node, { borderColor: gradeColours(palette, grade).line, backgroundColor: palette.panel }]} />
  );
}

const styles = StyleSheet.create({
  spine: { width: SPINE.phone, borderRightWidth: 1 },
  inside: { flexGrow: 1, justifyContent: 'space-between', alignItems: 'center', paddingVertical: SPACE.s },
  line: { position: 'absolute', width: 2, top: SPACE.xl, bottom: SPACE.xl, left: SPINE.phone / 2 - 1 },
  stop: { minHeight: TOUCH.least, width: SPINE.phone, alignItems: 'center', justifyContent: 'center', gap: 2 },
  node: { width: 14, height: 14, borderRadius: 7, borderWidth: 2 },
  here: {
    minWidth: scaled(36),
    paddingHorizontal: 4,
    height: scaled(26),
    borderRadius: scaled(13),
    alignItems: 'center',
    justifyContent: 'center',
  },
  company: {
    position: 'absolute',
    top: 0,
    right: 2,
    width: scaled(18),
    height: scaled(18),
    borderRadius: scaled(9),
    alignItems: 'center',
    justifyContent: 'center',
  },
  end: { width: 14, height: 14, borderWidth: 2, transform: [{ rotate: '45deg' }] },
});
