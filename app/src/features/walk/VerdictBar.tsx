import { isWrong, type PointGrade } from '@weskopos/core';
import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronUp from 'lucide-react-native/icons/chevron-up';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { GradeMark } from '../../kit/GradeMark';
import { Press } from '../../kit/Press';
import { CORNER, SPACE } from '../../kit/tokens';
import { gradeColours, usePalette } from '../../kit/theme';
import { HEARD_ONLY, Label, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { day, pointName } from '@weskopos/words/show';
import { gradeSentence, reasonSource } from '@weskopos/words/reasonSentence';
import { walk as say } from '@weskopos/words/en/pages/walk';
import { isUntouched, type Verdict } from './verdicts';

interface VerdictBarProps {
  /** Worst first. */
  readonly verdicts: readonly Verdict[];
  /** Whether the step has several points, so that each is named. */
  readonly named: boolean;
}

/** The step's verdict, always in view over the hand zone, worst first; a tap tells the rest and where the limits come from. */
export function VerdictBar({ verdicts, named }: VerdictBarProps) {
  const palette = usePalette();
  const [open, setOpen] = useState(false);
  const [worst, ...others] = verdicts;
  if (!worst) return null;
  if (isUntouched(worst.result))
    return (
      <View role="status" style={[styles.dashed, { borderColor: palette.unseen }]}>
        <Words style={HEARD_ONLY}>{gradeSentence(worst.result)}</Words>
      </View>
    );
  const Chevron = open ? ChevronDown : ChevronUp;
  const shown = open ? verdicts : [worst];
  const also = open ? 0 : others.filter(({ result }) => isWrong(result.grade)).length;
  return (
    <View style={[styles.bar, { backgroundColor: gradeColours(palette, worst.result.grade).wash }]}>
      {/* Opened it may be longer than its room: scrolled by keys too. */}
      <ScrollView style={styles.scroll} contentContainerStyle={styles.list} {...{ tabIndex: open ? 0 : -1 }}>
        {shown.map(({ key, ref, result }) => (
          <View key={key} style={[styles.verdict, { backgroundColor: gradeColours(palette, result.grade).wash }]}>
            <GradeMark grade={result.grade} carried={result.carried !== null} height={44} />
            <View role="status" aria-live="polite" style={styles.text}>
              <VerdictWords result={result} title={named ? pointName(ref.point) : ''} brief={!open} also={also} />
            </View>
          </View>
        ))}
      </ScrollView>
      <Press
        kind="quiet"
        label=""
        hint={say.whyAndByWhat}
        icon={<Chevron color={open ? palette.onFill : palette.ink} size={22} />}
        expanded={open}
        onPress={() => setOpen(!open)}
      />
    </View>
  );
}

interface VerdictWordsProps {
  readonly result: PointGrade;
  /** The point's name; empty where the step has only one. */
  readonly title: string;
  readonly brief: boolean;
  /** How many other points of the step are not well either. */
  readonly also: number;
}

function VerdictWords({ result, title, brief, also }: VerdictWordsProps) {
  const { line } = gradeColours(usePalette(), result.grade);
  const sources = [...new Set(result.reasons.map(reasonSource).filter((source): source is string => source !== null))];
  const asides = [
    result.override && say.givenByHandComputed(words.grade[result.computed].toLowerCase()),
    result.carried && say.carriedFrom(day(result.carried.at)),
    result.watch && words.watch,
    result.corrected && words.corrected,
    result.closeCall && say.closeCallReadItOnce,
    also > 0 && say.alsoNotWell(also),
  ]
    .filter(Boolean)
    .join(' · ');
  return (
    <>
      <Label size="xl" colour={line}>
        {[title, words.grade[result.grade]].filter(Boolean).join(': ')}
        {asides ? (
          <Words size="m" soft>
            {`  ${asides}`}
          </Words>
        ) : null}
      </Label>
      <Words size="m" {...(brief ? { numberOfLines: 2 } : {})}>
        {gradeSentence(result)}
      </Words>
      {brief
        ? null
        : sources.map((source) => (
            <Words key={source} size="s" soft>
              {source}
            </Words>
          ))}
    </>
  );
}

const styles = StyleSheet.create({
  bar: { flexDirection: 'row', borderRadius: CORNER.m, overflow: 'hidden', alignItems: 'center' },
  scroll: { flexGrow: 1, flexShrink: 1, maxHeight: 240 },
  list: { paddingVertical: SPACE.s, gap: SPACE.m },
  verdict: { flexDirection: 'row', gap: SPACE.s, alignItems: 'center', paddingLeft: SPACE.s },
  text: { flex: 1, gap: 2 },
  dashed: { borderTopWidth: 3, borderStyle: 'dashed' },
});
