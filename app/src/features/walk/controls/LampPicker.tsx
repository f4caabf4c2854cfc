import { SPOTS_OF_LAMP, type Count, type Lamp, type LampSpot } from '@weskopos/core';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import Svg, { Circle, Path } from 'react-native-svg';
import { Press } from '../../../kit/Press';
import { usePalette } from '../../../kit/theme';
import { CORNER, SPACE, TOUCH } from '../../../kit/tokens';
import { Label } from '../../../kit/Words';
import { words } from '@weskopos/words/en';
import { capital, lampSpotWords } from '@weskopos/words/show';
import { controls as say } from '@weskopos/words/en/pages/controls';
import { CountKeys } from './CountKeys';
import type { Counting } from './counting';

/** Lamps where they are on the vehicle, front to rear. */
export const LAMP_ROWS = {
  front: ['dip', 'main', 'daylight'],
  round: ['side', 'indicator', 'repeater'],
  rear: ['brake', 'high-brake', 'fog', 'reverse', 'number-plate'],
} as const satisfies Record<string, readonly Lamp[]>;

/** Every lamp as its own tile, drawn lit or out: a tap says that one more is out; the keys under them the rest. */
export function LampPicker({ counting }: { readonly counting: Counting }) {
  const palette = usePalette();
  const [chosen, setChosen] = useState<Lamp | null>(null);
  return (
    <View style={styles.lamps}>
      {Object.entries(LAMP_ROWS).map(([row, lamps]) => (
        <View key={row} role="group" aria-label={say.lampRow[row as keyof typeof LAMP_ROWS]} style={styles.row}>
          {lamps.map((lamp) => {
            const count = counting.of(lamp);
            const name = capital(words.lamp[lamp]);
            return (
              <Pressable
                key={lamp}
                role="button"
                aria-label={say.oneLessOf(name)}
                aria-description={say.countOf(count.good, count.of)}
                onPress={() => {
                  setChosen(lamp);
                  counting.set(lamp, { good: count.good === 0 ? count.of : count.good - 1, found: null });
                }}
                style={[
                  styles.tile,
                  {
                    backgroundColor: palette.card,
                    borderColor: lamp === chosen ? palette.ink : palette.rule,
                  },
                ]}
              >
                <Bulbs count={count} known={counting.isCounted} />
                <Label size="m" style={styles.centre}>
                  {name}
                </Label>
              </Pressable>
            );
          })}
        </View>
      ))}
      {chosen ? <WhichOut lamp={chosen} counting={counting} /> : null}
      {chosen ? <CountKeys item={chosen} name={capital(words.lamp[chosen])} counting={counting} /> : null}
    </View>
  );
}

/** Which of several is out: front over rear, left and right as they lie on the vehicle; nothing where one alone can be. */
function WhichOut({ lamp, counting }: { readonly lamp: Lamp; readonly counting: Counting }) {
  const spots = SPOTS_OF_LAMP[lamp];
  const { of, good, found, out } = counting.of(lamp);
  if (spots.length !== of || good === of || found !== null) return null;
  const toggle = (spot: LampSpot) => {
    const next = out.includes(spot) ? out.filter((one) => one !== spot) : [...out, spot];
    // The first that is named is the one that was counted; each one more is one less that is lit.
    counting.set(lamp, { out: next, good: Math.min(of - Math.max(1, next.length), of), found: null });
  };
  return (
    <View role="group" aria-label={say.whichIsOut(capital(words.lamp[lamp]))} style={styles.row}>
      <Label size="m" soft style={styles.whole}>
        {say.whichIsOut(capital(words.lamp[lamp]))}
      </Label>
      {spots.map((spot) => (
        <Press
          key={spot}
          role="checkbox"
          label={capital(lampSpotWords(spot))}
          chosen={out.includes(spot)}
          onPress={() => toggle(spot)}
          style={styles.spot}
        />
      ))}
    </View>
  );
}

/** So many bulbs, lit ones filled; the ones that are out crossed through. */
function Bulbs({ count: { good, of }, known }: { readonly count: Count; readonly known: boolean }) {
  const palette = usePalette();
  const shown = Math.min(of, 6);
  return (
    <Svg width={shown * 16} height={18} aria-hidden>
      {Array.from({ length: shown }, (_, n) => {
        const lit = n < good;
        const x = 8 + n * 16;
        const colour = !known ? palette.unseen : lit ? palette.pass : palette.fail;
        return lit ? (
          <Circle
            key={n}
            cx={x}
            cy={9}
            r={6}
            fill={known ? colour : 'none'}
            stroke={colour}
            strokeWidth={2}
            {...(known ? {} : { strokeDasharray: '3 2' })}
          />
        ) : (
          <Path key={n} d={`M${x - 5} 4l10 10M${x + 5} 4l-10 10`} stroke={colour} strokeWidth={2.5} />
        );
      })}
    </Svg>
  );
}

const styles = StyleSheet.create({
  lamps: { gap: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  tile: {
    minHeight: TOUCH.hand,
    flexGrow: 1,
    flexBasis: 86,
    alignItems: 'center',
    justifyContent: 'center',
    padding: SPACE.xs,
    borderWidth: 1,
    borderRadius: CORNER.s,
    gap: 2,
  },
  whole: { flexBasis: '100%' },
  spot: { flexGrow: 1, flexBasis: '45%' },
  centre: { textAlign: 'center' },
});
