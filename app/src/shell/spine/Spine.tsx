import Printer from 'lucide-react-native/icons/printer';
import { Pressable, StyleSheet, View, ScrollView } from 'react-native';
import { LinkPress } from '../../kit/LinkPress';
import { CORNER, SPACE, TOUCH } from '../../kit/tokens';
import { ONE_LINE, SPINE, scaled } from '../../kit/textScale';
import { usePalette } from '../../kit/theme';
import { Label } from '../../kit/Words';
import { common } from '@weskopos/words/en/pages/common';
import { spine as say } from '@weskopos/words/en/pages/spine';
import type { SpineId, SpineStop } from './places';
import { SPINE_ICONS } from './spineIcons';

interface SpineProps {
  readonly places: readonly SpineStop[];
  readonly oneself: SpineStop;
  /** What the person is called who is signed in. */
  readonly name: string;
  /** The vehicle one is at, and its own pages. */
  readonly vehicle: { readonly fleetCode: string; readonly pages: readonly SpineStop[] } | null;
  readonly path: string;
  readonly wide: boolean;
  /** What waits at a stop, by its id. */
  readonly waiting: ReadonlyMap<SpineId, number>;
}

/** The one way to move: places, the pages of the vehicle one is at, and oneself at the foot. */
export function Spine({ places, oneself, name, vehicle, path, wide, waiting }: SpineProps) {
  const palette = usePalette();
  // At a vehicle its own pages carry the words; places are known by their marks.
  const brief = vehicle !== null && !wide;
  const me = (
    <View role="navigation" aria-label={say.oneself} style={brief ? null : styles.foot}>
      <Stop
        stop={brief ? oneself : { ...oneself, word: name || oneself.word }}
        {...{ path, wide, brief }}
        waits={waiting.get(oneself.id) ?? 0}
      />
    </View>
  );
  return (
    <View
      style={[
        styles.spine,
        { width: wide ? SPINE.wide : SPINE.phone, backgroundColor: palette.panel, borderColor: palette.rule },
      ]}
      {...{ dataSet: { print: 'hide' } }}
    >
      <ScrollView contentContainerStyle={styles.inside}>
        <View role="navigation" aria-label={say.places} style={styles.stops}>
          {wide ? (
            <Label size="xl" style={styles.product}>
              {say.product}
            </Label>
          ) : null}
          {places.map((stop) => (
            <Stop key={stop.id} {...{ stop, path, wide }} brief={brief} waits={waiting.get(stop.id) ?? 0} />
          ))}
        </View>
        {brief ? me : null}
        {vehicle ? (
          <View
            role="navigation"
            aria-label={say.ofVehicle(vehicle.fleetCode)}
            style={[styles.stops, styles.own, { borderColor: palette.rule }]}
          >
            {wide ? (
              <Label size="l" soft style={styles.product} numberOfLines={2}>
                {vehicle.fleetCode}
              </Label>
            ) : null}
            {vehicle.pages.map((stop) => (
              <Stop key={stop.id} {...{ stop, path, wide }} brief={false} waits={waiting.get(stop.id) ?? 0} />
            ))}
          </View>
        ) : null}
        {brief ? null : me}
        {wide ? (
          <Pressable role="button" onPress={() => window.print()} style={[styles.stop, styles.beside]}>
            <Printer color={palette.soft} size={20} />
            <Label size="l" soft>
              {common.print}
            </Label>
          </Pressable>
        ) : null}
      </ScrollView>
    </View>
  );
}

interface StopProps {
  readonly stop: SpineStop;
  readonly path: string;
  readonly wide: boolean;
  /** The mark alone. */
  readonly brief: boolean;
  readonly waits: number;
}

function Stop({ stop: { id, word, href, holds }, path, wide, brief, waits }: StopProps) {
  const palette = usePalette();
  const Icon = SPINE_ICONS[id];
  const here = holds.test(path);
  const colour = here ? palette.ink : palette.soft;
  return (
    <LinkPress
      href={href}
      label={waits > 0 ? say.waits(word, waits) : word}
      current={here}
      style={[styles.stop, wide ? styles.beside : null]}
    >
      <Icon color={colour} size={wide ? 20 : 22} strokeWidth={here ? 2.4 : 2} />
      {brief ? null : (
        <Label size={wide ? 'l' : 's'} colour={colour} strong={here} {...ONE_LINE} style={styles.word}>
          {word}
        </Label>
      )}
      {waits > 0 ? (
        <View
          style={[
            styles.count,
            wide ? null : styles.corner,
            { backgroundColor: id === 'me' ? palette.fail : palette.ink },
          ]}
        >
          <Label size="s" colour={palette.onFill}>
            {String(waits)}
          </Label>
        </View>
      ) : null}
      {here ? <View style={[styles.here, { backgroundColor: palette.pass }]} /> : null}
    </LinkPress>
  );
}

const styles = StyleSheet.create({
  spine: { borderRightWidth: 1 },
  inside: { flexGrow: 1, paddingVertical: SPACE.s, gap: SPACE.s },
  stops: { gap: 2 },
  own: { borderTopWidth: 1, paddingTop: SPACE.s },
  product: { paddingHorizontal: SPACE.l, paddingVertical: SPACE.s },
  foot: { marginTop: 'auto' },
  stop: { minHeight: TOUCH.least, alignItems: 'center', justifyContent: 'center', paddingVertical: SPACE.xs, gap: 1 },
  beside: { flexDirection: 'row', justifyContent: 'flex-start', gap: SPACE.m, paddingHorizontal: SPACE.l },
  word: { maxWidth: '100%' },
  count: {
    minWidth: scaled(18),
    height: scaled(18),
    borderRadius: scaled(9),
    paddingHorizontal: SPACE.xs,
    alignItems: 'center',
    justifyContent: 'center',
  },
  corner: { position: 'absolute', top: 2, right: 6 },
  here: {
    position: 'absolute',
    right: 0,
    top: 6,
    bottom: 6,
    width: 4,
    borderTopLeftRadius: CORNER.s,
    borderBottomLeftRadius: CORNER.s,
  },
});
