import type { GradedPoint } from '@weskopos/core';
import { useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Saveable } from '../../kit/Saveable';
import { SPACE } from '../../kit/tokens';
import { gradeColours, usePalette } from '../../kit/theme';
import { Label, Words } from '../../kit/Words';
import { figure, pointShort, sideWords, unitOf } from '@weskopos/words/show';
import { words } from '@weskopos/words/en';
import { DECKS, isOnDeck, type DeckName } from '@weskopos/core/decks/deckNames';
import { drawDeck, hasFigures } from '@weskopos/core/decks/drawDeck';
import { nearestPoint } from '@weskopos/core/decks/nearestPoint';
import { DRAWING, type DrawnVehicle } from '@weskopos/core/decks/vehicleShape';
import { DrawnDeck } from './DrawnDeck';
import { decks as say } from '@weskopos/words/en/pages/decks';

interface DecksProps {
  readonly vehicle: DrawnVehicle;
  readonly points: readonly GradedPoint[];
  /** Which floors are drawn; all without. */
  readonly only?: readonly DeckName[];
  /** Lets a tap on a deck go to the point that is meant. */
  readonly onPoint?: (key: string) => void;
  /** The vehicle's name: each drawing can be saved under it. */
  readonly saveAs?: string;
}

/** The vehicle from above on three floors: what is under the bonnet, the wheels, the underside. Front to the left. */
export function Decks({ only = DECKS, ...props }: DecksProps) {
  return (
    <View style={styles.decks}>
      {only.map((deck) => (
        <Deck key={deck} deck={deck} isFirst={deck === only[0]} {...props} />
      ))}
    </View>
  );
}

interface DeckProps extends Omit<DecksProps, 'only'> {
  readonly deck: DeckName;
  /** Which way the drawings lie is said once. */
  readonly isFirst: boolean;
}

function Deck({ deck, isFirst, vehicle, points, onPoint, saveAs }: DeckProps) {
  const [width, setWidth] = useState(0);
  const here = useMemo(() => points.filter((point) => isOnDeck(deck, point)), [deck, points]);
  const { shapes, texts, unnamed } = useMemo(
    () => drawDeck(deck, vehicle, here, { name: ({ point, place }) => pointShort(point, place, vehicle), figure }),
    [deck, here, vehicle],
  );
  const drawing = <DrawnDeck drawing={{ shapes, texts }} alt={deckWords(deck, here, vehicle)} />;
  return (
    <View style={styles.deck}>
      <View style={styles.head}>
        <Label size="m" soft>
          {words.deck[deck]}
        </Label>
        {deck === 'wheels' && hasFigures(here) ? (
          <Label size="m" soft>
            {say.leastTreadOuterInnerPad(unitOf('lining'))}
          </Label>
        ) : null}
        {isFirst ? (
          <Label size="m" soft>
            {say.sides(sideWords('L', vehicle), sideWords('R', vehicle))}
          </Label>
        ) : null}
      </View>
      {onPoint ? (
        <Pressable
          role="button"
          aria-label={say.tapAPlace(words.deck[deck])}
          onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
          onPress={({ nativeEvent: { locationX, locationY } }) => {
            const scale = DRAWING.width / width;
            const meant = nearestPoint(deck, { x: locationX * scale, y: locationY * scale }, vehicle, points);
            if (meant) onPoint(meant.key);
          }}
        >
          <View style={styles.through}>{drawing}</View>
        </Pressable>
      ) : saveAs ? (
        <Saveable name={`${saveAs} ${words.deck[deck]}`}>{drawing}</Saveable>
      ) : (
        drawing
      )}
      <DeckNote wrong={unnamed} {...{ here, vehicle }} />
    </View>
  );
}

interface DeckNoteProps {
  /** What is not well and has no name on the drawing. */
  readonly wrong: readonly GradedPoint[];
  readonly here: readonly GradedPoint[];
  readonly vehicle: DrawnVehicle;
}

/** Names under a drawing; the rest is counted. */
const MOST_TOLD = 5;

/** What the drawing had no room to name, and how much nobody has seen. */
function DeckNote({ wrong, here, vehicle }: DeckNoteProps) {
  const palette = usePalette();
  const unseen = here.filter(({ result }) => result.grade === 'not-seen').length;
  if (wrong.length === 0 && unseen === 0) return null;
  return (
    <Words size="m" soft>
      {wrong.slice(0, MOST_TOLD).map(({ key, point, place, result }, index) => (
        <Words key={key} size="m" strong colour={gradeColours(palette, result.grade).line}>
          {`${index > 0 ? ', ' : ''}${pointShort(point, place, vehicle)}`}
        </Words>
      ))}
      {wrong.length > MOST_TOLD ? say.andMore(wrong.length - MOST_TOLD) : ''}
      {unseen > 0 ? say.notSeen(wrong.length > 0 ? ' · ' : '', unseen) : ''}
    </Words>
  );
}

/** The drawing in words, for who does not see it. */
function deckWords(deck: DeckName, here: readonly GradedPoint[], vehicle: DrawnVehicle): string {
  const seen = here.filter(({ result }) => result.grade !== 'not-seen').length;
  const bad = here.filter(({ result }) => result.grade !== 'pass');
  const list = bad.map(
    (point) => `${pointShort(point.point, point.place, vehicle)} ${words.grade[point.result.grade].toLowerCase()}`,
  );
  // What nobody looked at is no pass.
  const none = seen === 0 ? say.nobodyLooked : say.lookedAllPass(seen);
  return `${words.deck[deck]}: ${list.length > 0 ? list.join(', ') : none}`;
}

const styles = StyleSheet.create({
  decks: { gap: SPACE.m },
  deck: { gap: SPACE.xs },
  head: { flexDirection: 'row', flexWrap: 'wrap', justifyContent: 'space-between', columnGap: SPACE.s },
  // Places are told by the deck, not by the mark under the finger.
  through: { pointerEvents: 'none' },
});
