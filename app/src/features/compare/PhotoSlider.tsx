import type { FindingPhoto } from '@weskopos/core';
import { createElement, useState } from 'react';
import { Image, StyleSheet, View } from 'react-native';
import { CORNER, SPACE, TOUCH } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Label } from '../../kit/Words';
import { compare as say } from '@weskopos/words/en/pages/compare';
import { usePhotoUri } from '../photo/usePhotoUri';

interface PhotoSliderProps {
  readonly before: FindingPhoto;
  readonly after: FindingPhoto;
  /** Of what the pictures are. */
  readonly label: string;
}

/** Two pictures of one place over each other: the edge between then and now is slid, by finger or by the arrow keys. */
export function PhotoSlider({ before, after, label }: PhotoSliderProps) {
  const palette = usePalette();
  const [share, setShare] = useState(50);
  const [width, setWidth] = useState(0);
  const then = usePhotoUri(before.id, 'full');
  const now = usePhotoUri(after.id, 'full');
  const size = { width, height: width * SHAPE };
  return (
    <View style={styles.slider}>
      <View
        onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
        style={[styles.frame, { height: size.height, backgroundColor: palette.panel }]}
      >
        {now ? <Image source={{ uri: now }} alt={say.pointAfter(label)} resizeMode="cover" style={size} /> : null}
        <View style={[styles.over, { width: (width * share) / 100, height: size.height, borderColor: palette.card }]}>
          {then ? <Image source={{ uri: then }} alt={say.pointBefore(label)} resizeMode="cover" style={size} /> : null}
        </View>
      </View>
      <View style={styles.ends}>
        <Label size="m" soft>
          {say.before}
        </Label>
        <Label size="m" soft>
          {say.after}
        </Label>
      </View>
      {createElement('input', {
        type: 'range',
        min: 0,
        max: 100,
        step: 5,
        value: share,
        'aria-label': say.slide(label),
        onChange: ({ target }: { target: HTMLInputElement }) => setShare(Number(target.value)),
        style: { width: '100%', height: TOUCH.least, margin: 0, accentColor: palette.ink },
      })}
    </View>
  );
}

/** Height of the frame as a share of its width. */
const SHAPE = 0.75;

const styles = StyleSheet.create({
  slider: { gap: SPACE.xs, maxWidth: 480 },
  frame: { borderRadius: CORNER.s, overflow: 'hidden' },
  over: { position: 'absolute', left: 0, top: 0, overflow: 'hidden', borderRightWidth: 2 },
  ends: { flexDirection: 'row', justifyContent: 'space-between' },
});
