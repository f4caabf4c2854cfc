import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Words } from '../../kit/Words';
import { keepPicture } from './keepPicture';
import { pickFile } from '../../kit/pickFile';
import { Viewfinder } from './Viewfinder';
import { photo as say } from '@weskopos/words/en/pages/photo';

interface PhotoTakerProps {
  /** Last visit's photo of this point, to frame the same view; null when there is none. */
  readonly ghost: string | null;
  readonly onPhoto: (id: string) => Promise<void>;
  readonly onDone: () => void;
}

/** A picture to a finding: from the phone's camera or album, or through the viewfinder with last visit's picture laid over. */
export function PhotoTaker({ ghost, onPhoto, onDone }: PhotoTakerProps) {
  const [told, setTold] = useState<string | null>(null);
  const [framing, setFraming] = useState(false);
  const keep = async (picture: File | null) => {
    if (!picture) return;
    setTold(say.shrinkingThePicture);
    const kept = await keepPicture(picture);
    if ('problem' in kept) return setTold(kept.problem);
    await onPhoto(kept.id);
    setTold(null);
    onDone();
  };
  return (
    <View style={styles.taker}>
      {told ? <Words role="alert">{told}</Words> : null}
      {framing ? (
        <Viewfinder
          ghost={ghost}
          onPicture={(picture) => {
            setFraming(false);
            void keep(picture);
          }}
          onProblem={(problem) => {
            setFraming(false);
            setTold(problem);
          }}
        />
      ) : (
        <View style={styles.row}>
          <Press label={say.cameraOrAlbum} onPress={() => void pickFile('image/*').then(keep)} style={styles.grow} />
          <Press
            label={ghost ? say.frameAsLastTime : say.viewfinder}
            onPress={() => setFraming(true)}
            style={styles.grow}
          />
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  taker: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flexGrow: 1 },
});
