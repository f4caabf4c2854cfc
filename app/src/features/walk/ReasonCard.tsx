import type { PointGrade } from '@weskopos/core';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { GradeMark } from '../../kit/GradeMark';
import { CORNER, SPACE } from '../../kit/tokens';
import { gradeColours, usePalette } from '../../kit/theme';
import { HEARD_ONLY, Label, Words } from '../../kit/Words';
import { words } from '../../words/en';
import { day } from '../../words/show';
import { gradeSentence, reasonSource } from '../../words/reasonSentence';
import { walk as say } from '../../words/en/pages/walk';

/** The grade with one sentence of why; a tap tells where the limit comes from. */
export function ReasonCard({ title, result }: { readonly title?: string; readonly result: PointGrade }) {
  const palette = usePalette();
  const [open, setOpen] = useState(false);
  const { line, wash } = gradeColours(palette, result.grade);
  const sources = [...new Set(result.reasons.map(reasonSource).filter((source): source is string => source !== null))];
  if (result.reasons[0]?.rule === 'not-looked-at' && !result.override && !result.carried)
    return <NotLookedAt words={gradeSentence(result)} />;
  const asides = [
    result.override && say.givenByHandComputed(words.grade[result.computed].toLowerCase()),
    result.carried && say.carriedFrom(day(result.carried.at)),
    result.watch && words.watch,
    result.corrected && words.corrected,
    result.closeCall && say.closeCallReadItOnce,
  ]
    .filter(Boolean)
    .join(' · ');
  return (
    <Pressable
      role="button"
      aria-expanded={open}
      onPress={() => setOpen(!open)}
      style={[styles.card, { backgroundColor: wash }]}
    >
      <GradeMark grade={result.grade} carried={result.carried !== null} height={54} />
      <View style={styles.text} aria-live="polite">
        <Label size="xl" colour={line}>
          {[title, words.grade[result.grade]].filter(Boolean).join(': ')}
          {asides ? (
            <Words size="m" soft>
              {`  ${asides}`}
            </Words>
          ) : null}
        </Label>
        <Words>{gradeSentence(result)}</Words>
        {open
          ? sources.map((source) => (
              <Words key={source} size="s" soft>
                {source}
              </Words>
            ))
          : null}
      </View>
    </Pressable>
  );
}

/** Nothing is said yet: the dashed edge alone; its sentence is for who listens. */
function NotLookedAt({ words: told }: { readonly words: string }) {
  const palette = usePalette();
  return (
    <View style={[styles.dashed, { borderColor: palette.unseen }]}>
      <Words style={HEARD_ONLY}>{told}</Words>
    </View>
  );
}

const styles = StyleSheet.create({
  card: {
    flexDirection: 'row',
    gap: SPACE.s,
    borderRadius: CORNER.m,
    padding: SPACE.m,
    paddingLeft: SPACE.s,
    alignItems: 'center',
  },
  text: { flex: 1, gap: 2 },
  dashed: { borderTopWidth: 3, borderStyle: 'dashed', marginVertical: SPACE.xs },
});
