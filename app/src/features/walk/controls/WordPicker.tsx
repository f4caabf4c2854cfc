import {
  ENGINE_ANSWERS,
  PAN_ANSWERS,
  oneOf,
  wordsOffered,
  type CataloguePoint,
  type Finding,
  type Word,
} from '@weskopos/core';
import Info from 'lucide-react-native/icons/info';
import { Suspense, memo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Press } from '../../../kit/Press';
import { usePalette } from '../../../kit/theme';
import { SPACE } from '../../../kit/tokens';
import { HelpGallery } from '../../help/lazyHelp';
import { DRAWN } from '../../help/drawn';
import { help } from '@weskopos/words/en/pages/help';
import { words } from '@weskopos/words/en';
import { capital } from '@weskopos/words/show';
import { useSteady } from '../useSteady';
import { common } from '@weskopos/words/en/pages/common';

interface WordPickerProps {
  readonly point: CataloguePoint;
  readonly finding: Finding | undefined;
  readonly onWord: (word: Word) => void;
  /** Offered where the words are all there is to the point. */
  readonly onSound?: () => void;
}

/** Answers to a question are asked for where it arises. */
const isSaidFirst = (word: Word) => !oneOf(PAN_ANSWERS, word) && !oneOf(ENGINE_ANSWERS, word);

/** What was observed, in the words of the trade; sound is said, never assumed. */
export function WordPicker({ point, finding, onWord, onSound }: WordPickerProps) {
  const palette = usePalette();
  const steadyWord = useSteady(onWord);
  // Which word is asked about; `all` for none in particular.
  const [asked, setAsked] = useState<Word | 'all' | null>(null);
  const ask = useSteady((word: Word) => setAsked(word));
  const { vocabulary } = point;
  const isDrawn = vocabulary !== null && DRAWN.includes(vocabulary);
  const offered = wordsOffered(point);
  // What somebody said is shown, and can be taken back, also where it is offered no more.
  const shown = [...offered, ...(finding?.words ?? []).filter((word) => !oneOf(offered, word))];
  const sound = finding !== undefined && finding.access === 'seen' && finding.words.length === 0;
  return (
    <View style={styles.picker}>
      {onSound ? (
        <Press
          kind={sound ? 'main' : 'plain'}
          role="checkbox"
          label={common.sound}
          chosen={sound}
          onPress={onSound}
          style={styles.sound}
        />
      ) : null}
      <View style={styles.row}>
        {shown.filter(isSaidFirst).map((word) => (
          <WordChip
            key={word}
            word={word}
            chosen={finding?.words.includes(word) ?? false}
            onWord={steadyWord}
            {...(isDrawn ? { onHold: ask } : {})}
          />
        ))}
        {isDrawn ? (
          <Press
            label=""
            hint={help.whatDoTheyLookLike}
            icon={<Info color={asked ? palette.onFill : palette.soft} size={22} />}
            expanded={asked !== null}
            onPress={() => setAsked(asked ? null : 'all')}
          />
        ) : null}
      </View>
      {asked && vocabulary ? (
        <Suspense fallback={null}>
          <HelpGallery vocabulary={vocabulary} first={asked === 'all' ? null : asked} onClose={() => setAsked(null)} />
        </Suspense>
      ) : null}
    </View>
  );
}

interface WordChipProps {
  readonly word: Word;
  readonly chosen: boolean;
  readonly onWord: (word: Word) => void;
  /** A long press asks what the word looks like. */
  readonly onHold?: (word: Word) => void;
}

/** One word; drawn anew only when it is ticked on or off. */
const WordChip = memo(function WordChip({ word, chosen, onWord, onHold }: WordChipProps) {
  return (
    <Press
      role="checkbox"
      label={capital(words.word[word])}
      chosen={chosen}
      onPress={() => onWord(word)}
      {...(onHold ? { onHold: () => onHold(word) } : {})}
    />
  );
});

const styles = StyleSheet.create({
  picker: { gap: SPACE.m },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  sound: { minHeight: 56 },
});
