import { openEnds, remainingS, waitsOf, type Act } from '@weskopos/core';
import { memo, useEffect, useRef } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { usePalette } from '../../kit/theme';
import { ONE_LINE, SPINE } from '../../kit/textScale';
import { CORNER, SPACE, TOUCH } from '../../kit/tokens';
import { HEARD_ONLY, Label, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { sound } from '../ends/callSound';
import { clockWords, useNow } from '../../visit/useNow';
import { walk as say } from '@weskopos/words/en/pages/walk';
import { NextByRoute } from './NextByRoute';
import type { RouteNext } from './routeWay';

/** Hooks drawn at most; the number under them tells the rest. */
const MOST_HOOKS = 4;

interface EndsStopProps {
  readonly acts: readonly Act[];
  /** The way on by the route, where it leads through what is done to the vehicle. */
  readonly next: RouteNext | null;
  readonly onPress: () => void;
}

/** What still hangs on the line, and the clock of what runs by itself. A wait that ends calls quietly, and says so to who listens. */
export const EndsStop = memo(function EndsStop({ acts, next, onPress }: EndsStopProps) {
  const palette = usePalette();
  const now = useNow(1000);
  const open = openEnds(acts).length;
  const waits = waitsOf(acts)
    .filter(({ done }) => !done)
    .map((wait) => ({ ...wait, left: remainingS(wait, now) }))
    .sort((a, b) => a.left - b.left);
  const over = waits.filter(({ left }) => left === 0);
  const heard = useRef(over.length);
  useEffect(() => {
    if (over.length > heard.current) {
      if ('vibrate' in navigator) navigator.vibrate(200);
      sound();
    }
    heard.current = over.length;
  }, [over.length]);
  const [first] = waits;
  const hooks = Math.max(1, Math.min(open, MOST_HOOKS));
  const told = [
    say.looseEndsOpen(open),
    ...waits.map(({ kind, left }) => `${words.wait[kind]} ${left === 0 ? say.isOver : clockWords(left)}`),
    next && say.nextByTheRoute(next.name),
  ];
  return (
    <Pressable
      role="button"
      aria-label={told.filter(Boolean).join(', ')}
      onPress={onPress}
      style={[styles.stop, { backgroundColor: palette.panel }]}
    >
      {/* A clock is not read out every second; its end is. */}
      <View role="alert" style={HEARD_ONLY}>
        {over.map(({ id, kind }) => (
          <Words key={id}>{`${words.wait[kind]} ${say.isOver}`}</Words>
        ))}
      </View>
      {first ? (
        <View style={[styles.clock, { backgroundColor: palette.forecast }]}>
          <Label size="s" colour={palette.onFill} {...ONE_LINE}>
            {words.wait[first.kind]}
          </Label>
          <Label size="m" colour={palette.onFill}>
            {first.left === 0 ? say.isOver : clockWords(first.left)}
          </Label>
        </View>
      ) : null}
      {next ? <NextByRoute saves={next.saves} /> : null}
      <Svg width={46} height={20} aria-hidden>
        {Array.from({ length: hooks }, (_, hook) => (
          <Path
            key={hook}
            d={`M${23 + (hook - (hooks - 1) / 2) * 11} 1 v9 a4 4 0 1 1 -7 2`}
            stroke={open > 0 ? palette.advisory : palette.rule}
            strokeWidth={2.5}
            fill="none"
          />
        ))}
      </Svg>
      <Label size="s" soft={open === 0}>
        {open > 0 ? say.open(open) : say.ends}
      </Label>
    </Pressable>
  );
});

const styles = StyleSheet.create({
  stop: { minHeight: TOUCH.least, width: SPINE.phone, alignItems: 'center', justifyContent: 'center', gap: 2 },
  clock: { width: SPINE.phone - 4, alignItems: 'center', borderRadius: CORNER.s, paddingVertical: SPACE.xs },
});
