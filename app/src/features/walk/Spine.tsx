import type { Presence } from '@weskopos/contract';
import { worstGrade, type Grade, type GradedPoint, type WalkStep } from '@weskopos/core';
import LayoutList from 'lucide-react-native/icons/layout-list';
import Search from 'lucide-react-native/icons/search';
import { memo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { SPACE, TOUCH } from '../../kit/tokens';
import { gradeColours, usePalette } from '../../kit/theme';
import { Label } from '../../kit/Words';
import { words } from '../../words/en';
import { placeInitials, stopWords, type Seats } from '../../words/show';
import { walk as say } from '../../words/en/pages/walk';
import { common } from '../../words/en/pages/common';

/** Hooks drawn at most; the number under them tells the rest. */
const MOST_HOOKS = 4;

interface SpineProps {
  readonly steps: readonly WalkStep[];
  readonly points: readonly GradedPoint[];
  readonly current: string;
  readonly axles: Seats;
  readonly onStop: (stop: string) => void;
  /** How many things hang open. */
  readonly open: number;
  /** Who else is at this visit, and where. */
  readonly others: Presence;
  readonly onLooseEnds: () => void;
  readonly onEnd: () => void;
  readonly onYard: () => void;
  readonly onJump: () => void;
}

/** The walk as a line of stops: where you are, what is behind you, what is left. */
export const Spine = memo(function Spine(props: SpineProps) {
  const { steps, points, current, axles, open, others, onStop, onLooseEnds, onEnd, onYard, onJump } = props;
  const palette = usePalette();
  const stops = [...new Set(steps.map((step) => step.stop))];
  return (
    <View
      role="navigation"
      aria-label={say.stopsOfTheWalk}
      style={[styles.spine, { backgroundColor: palette.panel, borderColor: palette.rule }]}
    >
      <View style={[styles.line, { backgroundColor: palette.rule }]} />
      <Pressable
        role="button"
        aria-label={say.toTheYard}
        onPress={onYard}
        style={[styles.stop, { backgroundColor: palette.panel }]}
      >
        <LayoutList color={palette.ink} size={22} />
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
        return (
          <Stop
            key={stop}
            stop={stop}
            seen={seen.length}
            all={here.length}
            grade={seen.length === 0 ? 'not-seen' : worstGrade(seen.map((point) => point.result.grade))}
            isCurrent={stop === current}
            axles={axles}
            with={others
              .filter((other) => other.stop === stop)
              .map(({ name }) => name)
              .join(', ')}
            onStop={onStop}
          />
        );
      })}
      <Pressable
        role="button"
        aria-label={say.looseEndsOpen(open)}
        onPress={onLooseEnds}
        style={[styles.stop, { backgroundColor: palette.panel }]}
      >
        <Svg width={46} height={20} aria-hidden>
          {Array.from({ length: Math.max(1, Math.min(open, MOST_HOOKS)) }, (_, hook) => (
            <Path
              key={hook}
              d={`M${23 + (hook - (Math.max(1, Math.min(open, MOST_HOOKS)) - 1) / 2) * 11} 1 v9 a4 4 0 1 1 -7 2`}
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
      <Pressable role="button" aria-label={say.overviewAndSigning} onPress={onEnd} style={styles.stop}>
        <View style={[styles.end, { borderColor: palette.ink }]} />
        <Label size="s" soft>
          {common.sign}
        </Label>
      </Pressable>
    </View>
  );
});

interface StopProps {
  readonly stop: string;
  readonly seen: number;
  readonly all: number;
  readonly grade: Grade;
  readonly isCurrent: boolean;
  readonly axles: Seats;
  /** Names of others who are there now; empty for none. */
  readonly with: string;
  readonly onStop: (stop: string) => void;
}

/** One stop; drawn anew only when something on it changed. */
const Stop = memo(function Stop({ stop, seen, all, grade, isCurrent, axles, with: company, onStop }: StopProps) {
  const palette = usePalette();
  const { line } = gradeColours(palette, grade);
  return (
    <Pressable
      role="button"
      aria-label={say.ofSeen(stopWords(stop, axles), seen, all, company ? say.isHere(company) : '')}
      aria-current={isCurrent ? 'step' : undefined}
      onPress={() => onStop(stop)}
      style={styles.stop}
    >
      {isCurrent ? (
        <View style={[styles.here, { backgroundColor: palette.ink }]}>
          <Label size="m" colour={palette.ground}>{`${seen}/${all}`}</Label>
        </View>
      ) : (
        <View style={[styles.node, { borderColor: line, backgroundColor: seen === all ? line : palette.panel }]} />
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
    </Pressable>
  );
});

const styles = StyleSheet.create({
  spine: {
    width: 54,
    borderRightWidth: 1,
    paddingVertical: SPACE.s,
    justifyContent: 'space-between',
    alignItems: 'center',
  },
  line: { position: 'absolute', width: 2, top: SPACE.xl, bottom: SPACE.xl, left: 26 },
  stop: { minHeight: TOUCH.least, width: 54, alignItems: 'center', justifyContent: 'center', gap: 2 },
  node: { width: 14, height: 14, borderRadius: 7, borderWidth: 2 },
  here: {
    minWidth: 36,
    paddingHorizontal: 4,
    height: 26,
    borderRadius: 13,
    alignItems: 'center',
    justifyContent: 'center',
  },
  company: {
    position: 'absolute',
    top: 0,
    right: 2,
    width: 18,
    height: 18,
    borderRadius: 9,
    alignItems: 'center',
    justifyContent: 'center',
  },
  end: { width: 14, height: 14, borderWidth: 2, transform: [{ rotate: '45deg' }] },
});
