import type { Href } from 'expo-router';
import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { LinkPress } from './LinkPress';
import { CORNER, SPACE, TOUCH } from './tokens';
import { usePalette } from './theme';
import { Label, Words } from './Words';

interface SlipProps {
  /** The tally edge. */
  readonly mark: ReactNode;
  readonly name: string;
  /** The one figure that matters, at the right. */
  readonly figure?: string;
  readonly figureColour?: string;
  /** One soft line of why. */
  readonly why?: string;
  /** A second line, where something hangs open. */
  readonly open?: string;
  /** Where the whole slip leads; it is only read without. */
  readonly href?: Href;
  /** What a press on it opens below it, instead of leading anywhere. */
  readonly opens?: { readonly open: boolean; readonly onPress: () => void };
  /** What it is called aloud, where that is not its words. */
  readonly label?: string;
  readonly current?: boolean;
  /** A line of a list instead of a card. */
  readonly flat?: boolean;
}

/** One thing: its tally edge, a name, the one figure that matters, one soft line of why. The whole slip is the target. */
export function Slip({ mark, name, figure, figureColour, why, open, href, opens, label, current, flat }: SlipProps) {
  const palette = usePalette();
  const look = [
    styles.slip,
    flat
      ? { ...styles.flat, borderColor: palette.rule }
      : { ...styles.card, borderColor: palette.rule, backgroundColor: palette.card },
    current ? { ...styles.current, borderColor: palette.pass } : null,
  ];
  const inside = (
    <>
      <View style={styles.mark}>{mark}</View>
      <View style={styles.text}>
        <View style={styles.line}>
          <Label size="xl" style={styles.name}>
            {name}
          </Label>
          {figure ? (
            <Label size="xl" colour={figureColour ?? palette.ink} style={styles.figure}>
              {figure}
            </Label>
          ) : null}
        </View>
        {why ? (
          <Words size="m" soft>
            {why}
          </Words>
        ) : null}
        {open ? (
          <Words size="m" strong colour={palette.advisory}>
            {open}
          </Words>
        ) : null}
      </View>
    </>
  );
  if (opens)
    return (
      <Pressable role="button" aria-expanded={opens.open} onPress={opens.onPress} style={look}>
        {inside}
      </Pressable>
    );
  if (!href) return <View style={look}>{inside}</View>;
  return (
    <LinkPress href={href} style={look} {...(label === undefined ? {} : { label })} {...(current ? { current } : {})}>
      {inside}
    </LinkPress>
  );
}

const styles = StyleSheet.create({
  slip: { minHeight: TOUCH.least, flexDirection: 'row', gap: SPACE.s, padding: SPACE.s },
  card: { borderWidth: 1, borderRadius: CORNER.m },
  flat: { borderTopWidth: 1, paddingHorizontal: 0 },
  current: { borderWidth: 2, borderRadius: CORNER.s, paddingHorizontal: SPACE.s },
  mark: { justifyContent: 'center' },
  text: { flex: 1, justifyContent: 'center' },
  line: { flexDirection: 'row', flexWrap: 'wrap', justifyContent: 'space-between', columnGap: SPACE.s },
  // A code without a gap is broken, not pushed out.
  name: { flexShrink: 1, minWidth: 0, maxWidth: '100%' },
  figure: { textAlign: 'right', marginLeft: 'auto' },
});
