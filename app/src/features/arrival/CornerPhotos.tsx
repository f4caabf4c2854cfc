import { Suspense, useState } from 'react';
import { View } from 'react-native';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Label, Words } from '../../kit/Words';
import { PhotoStrip } from '../photo/PhotoStrip';
import { PhotoTaker } from '../photo/PhotoTaker';
import { arrival as say } from '@weskopos/words/en/pages/arrival';
import { common } from '@weskopos/words/en/pages/common';

/** One from each corner, and as many again for what is found there. */
const MOST = 8;

interface CornerPhotosProps {
  readonly photos: readonly string[];
  /** A picture is still being shrunk when the next touch comes: changes are of what is there by then. */
  readonly onChange: (change: (photos: readonly string[]) => readonly string[]) => void;
}

/** How it looked when it came, from its corners: what was there before is not argued about afterwards. */
export function CornerPhotos({ photos, onChange }: CornerPhotosProps) {
  const [taking, setTaking] = useState(false);
  return (
    <View style={{ gap: SPACE.s }}>
      <Label>{say.itsCornersAsItCame}</Label>
      <PhotoStrip photos={photos.map(asPhoto)} label={common.corner} />
      {taking ? (
        <Suspense fallback={null}>
          <PhotoTaker
            ghost={null}
            onPhoto={(id) => {
              onChange((before) => [...before, id]);
              return Promise.resolve();
            }}
            onDone={() => setTaking(false)}
          />
        </Suspense>
      ) : photos.length < MOST ? (
        <Press label={photos.length === 0 ? say.photographACorner : say.another} onPress={() => setTaking(true)} />
      ) : (
        <Words soft>{say.picturesAreTheMostHere(MOST)}</Words>
      )}
      {photos.length > 0 ? (
        <Press label={say.takeTheLastOneOut} onPress={() => onChange((before) => before.slice(0, -1))} />
      ) : null}
    </View>
  );
}

/** A bare picture as a strip shows it. */
export const asPhoto = (id: string) => ({ id, caption: '', marks: [] });
