import { createElement, useState } from 'react';
import { Image, StyleSheet, View } from 'react-native';
import { Press } from '../../kit/Press';
import { CORNER, SPACE } from '../../kit/tokens';
import { useCamera } from './useCamera';
import { usePhotoUri } from './usePhotoUri';
import { photo as say } from '@weskopos/words/en/pages/photo';

interface ViewfinderProps {
  readonly ghost: string | null;
  readonly onPicture: (picture: File) => void;
  readonly onProblem: (problem: string) => void;
}

const QUALITY = 0.92;

/** The camera's own picture with last visit's laid over it half through, so that both show the same view. */
export function Viewfinder({ ghost, onPicture, onProblem }: ViewfinderProps) {
  const { video, ready } = useCamera(() => onProblem(say.theCameraWasNotOpened));
  const [overlay, setOverlay] = useState(true);
  const shoot = () => {
    const frame = video.current;
    if (!frame) return;
    const canvas = document.createElement('canvas');
    canvas.width = frame.videoWidth;
    canvas.height = frame.videoHeight;
    canvas.getContext('2d')?.drawImage(frame, 0, 0);
    canvas.toBlob(
      (blob) =>
        blob ? onPicture(new File([blob], 'view.jpg', { type: blob.type })) : onProblem(say.theCameraGaveNoPicture),
      'image/jpeg',
      QUALITY,
    );
  };
  return (
    <View style={styles.finder}>
      <View style={styles.frame}>
        {createElement('video', {
          ref: video,
          muted: true,
          playsInline: true,
          'aria-label': say.viewfinder,
          style: { width: '100%', height: '100%', objectFit: 'cover' },
        })}
        {ghost && overlay ? <Ghost id={ghost} /> : null}
      </View>
      <View style={styles.row}>
        {ghost ? (
          <Press role="checkbox" label={say.lastVisitsPicture} chosen={overlay} onPress={() => setOverlay(!overlay)} />
        ) : null}
        <Press kind="main" label={say.takeIt} disabled={!ready} onPress={shoot} style={styles.grow} />
      </View>
    </View>
  );
}

function Ghost({ id }: { readonly id: string }) {
  const uri = usePhotoUri(id, 'full');
  return uri ? (
    <Image source={{ uri }} alt={say.lastVisitsPictureLaidOver} resizeMode="cover" style={styles.ghost} />
  ) : null;
}

const styles = StyleSheet.create({
  finder: { gap: SPACE.s },
  frame: { aspectRatio: 4 / 3, borderRadius: CORNER.s, overflow: 'hidden', backgroundColor: '#000' },
  ghost: { position: 'absolute', top: 0, left: 0, width: '100%', height: '100%', opacity: 0.4, pointerEvents: 'none' },
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
});
