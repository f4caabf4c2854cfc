import type { FindingPhoto } from '@weskopos/core';
import { Suspense, useState } from 'react';
import { Image, Pressable, StyleSheet, View, useWindowDimensions } from 'react-native';
import { CORNER, SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Words } from '../../kit/Words';
import { PhotoMarker } from './PhotoMarker';
import { MarkLayer } from './MarkLayer';
import { words } from '@weskopos/words/en';
import { usePhotoState } from './usePhotoState';
import { usePhotoUri } from './usePhotoUri';
import { photo as say } from '@weskopos/words/en/pages/photo';

interface PhotoStripProps {
  readonly photos: readonly FindingPhoto[];
  readonly label: string;
  readonly size?: number;
  /** Lets a photo be opened and marked; left out where it is only shown. */
  readonly onChange?: (photos: readonly FindingPhoto[]) => void;
}

/** What stands beside a picture on the narrowest page: the spine, and the edges of page and card, px. */
const BESIDE = 130;
/** From this height on the whole picture is fetched, px. */
const FULL_FROM = 200;

/** Pictures of a finding with their marks; a tap opens one to be marked. */
export function PhotoStrip({ photos, label, size: wanted = 88, onChange }: PhotoStripProps) {
  const [open, setOpen] = useState<string | null>(null);
  const size = Math.min(wanted, ((useWindowDimensions().width - BESIDE) * 3) / 4);
  if (photos.length === 0) return null;
  const opened = photos.find(({ id }) => id === open);
  const named = (photo: FindingPhoto) => say.photo(label, photos.indexOf(photo) + 1);
  return (
    <View style={styles.strip}>
      {photos.map((photo) => (
        <View key={photo.id}>
          {onChange ? (
            <Pressable
              role="button"
              aria-label={say.mark(named(photo))}
              aria-expanded={photo.id === open}
              onPress={() => setOpen(photo.id === open ? null : photo.id)}
            >
              <Photo photo={photo} label={named(photo)} size={size} />
            </Pressable>
          ) : (
            <Photo photo={photo} label={named(photo)} size={size} />
          )}
        </View>
      ))}
      {opened && onChange ? (
        <View style={styles.marker}>
          <Suspense fallback={null}>
            <PhotoMarker
              key={opened.id}
              photo={opened}
              label={named(opened)}
              onChange={(changed) => {
                setOpen(changed.id);
                onChange(photos.map((photo) => (photo === opened ? changed : photo)));
              }}
              onTakeOut={() => {
                setOpen(null);
                onChange(photos.filter(({ id }) => id !== opened.id));
              }}
              onDone={() => setOpen(null)}
            />
          </Suspense>
        </View>
      ) : null}
    </View>
  );
}

function Photo({
  photo,
  label,
  size,
}: {
  readonly photo: FindingPhoto;
  readonly label: string;
  readonly size: number;
}) {
  const palette = usePalette();
  const uri = usePhotoUri(photo.id, size > FULL_FROM ? 'full' : 'thumb');
  const width = Math.round((size * 4) / 3);
  return (
    <View>
      <Image
        source={uri ? { uri } : undefined}
        alt={photo.caption ? `${label}: ${photo.caption}` : label}
        aria-label={label}
        resizeMode="cover"
        style={{ width, height: size, borderRadius: CORNER.s, backgroundColor: palette.panel }}
      />
      <MarkLayer marks={photo.marks} width={width} height={size} />
      <PhotoFate id={photo.id} width={width} />
      {photo.caption && size > FULL_FROM ? <Words size="s">{photo.caption}</Words> : null}
    </View>
  );
}

/** Whether the workshop has it: silent when it does. */
function PhotoFate({ id, width }: { readonly id: string; readonly width: number }) {
  const palette = usePalette();
  const fate = usePhotoState(id);
  if (!fate) return null;
  const why = fate.reason === null ? undefined : words.sync.photoReason[fate.reason];
  return (
    <Words size="s" colour={fate.state === 'refused' ? palette.fail : palette.soft} style={{ maxWidth: width }}>
      {`${words.sync.photoState[fate.state]}${why ? `: ${why}` : ''}`}
    </Words>
  );
}

const styles = StyleSheet.create({
  strip: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  marker: { width: '100%' },
});
