import { openEnds, remainingS, waitsOf, type Act } from '@weskopos/core';
import { memo, useEffect, useRef } from 'react';
import { Pressable, StyleSheet } from 'react-native';
import { usePalette } from '../../kit/theme';
import { CORNER, SPACE, TOUCH } from '../../kit/tokens';
import { Label } from '../../kit/Words';
import { words } from '../../words/en';
import { sound } from '../ends/callSound';
import { clockWords, useNow } from '../../visit/useNow';
import { walk as say } from '../../words/en/pages/walk';

/** One line over the walk while something hangs or runs by itself; a tap leads to the loose ends. A wait that ends calls quietly. */
export const WaitStrip = memo(function WaitStrip({
  acts,
  onPress,
}: {
  readonly acts: readonly Act[];
  readonly onPress: () => void;
}) {
  const palette = usePalette();
  const now = useNow(1000);
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
  const open = openEnds(acts).length;
  const [first] = waits;
  const told = [
    first && `${words.wait[first.kind]} ${first.left === 0 ? say.isOver : clockWords(first.left)}`,
    waits.length > 1 && say.more(waits.length - 1),
    open > 0 && say.open(open),
  ].filter(Boolean);
  const calls = over.length > 0;
  if (told.length === 0) return null;
  return (
    <Pressable
      role="button"
      aria-label={say.toTheLooseEnds(told.join(', '))}
      onPress={onPress}
      style={[
        styles.strip,
        { backgroundColor: calls ? palette.forecast : palette.panel, borderColor: palette.forecast },
      ]}
    >
      <Label size="l" colour={calls ? palette.onFill : palette.forecast}>
        {told.join(' · ')}
      </Label>
    </Pressable>
  );
});

const styles = StyleSheet.create({
  strip: {
    minHeight: TOUCH.least,
    justifyContent: 'center',
    paddingHorizontal: SPACE.m,
    borderLeftWidth: 4,
    borderRadius: CORNER.s,
  },
});
