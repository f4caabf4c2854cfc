import { PHOTO_PATH } from '@weskopos/contract';
import { useEffect, useState } from 'react';
import { Image, StyleSheet, View } from 'react-native';
import { localPhoto } from '../sync/workshop';
import { CORNER, SPACE } from './tokens';
import { usePalette } from './theme';

/** Pictures of a finding: from this device while they wait, from the workshop afterwards. */
export function PhotoStrip({
  photos,
  label,
  size = 88,
}: {
  readonly photos: readonly string[];
  readonly label: string;
  readonly size?: number;
}) {
  if (photos.length === 0) return null;
  return (
    <View style={styles.strip}>
      {photos.map((id, index) => (
        <Photo key={id} id={id} label={`${label}, photo ${index + 1}`} size={size} />
      ))}
    </View>
  );
}

function Photo({ id, label, size }: { readonly id: string; readonly label: string; readonly size: number }) {
  const palette = usePalette();
  const [uri, setUri] = useState<string | null>(null);
  useEffect(() => {
    let shown: string | null = null;
    let gone = false;
    void localPhoto(id).then((local) => {
      if (gone) return local && URL.revokeObjectURL(local);
      shown = local;
      setUri(local ?? `${PHOTO_PATH}/${id}${size > 200 ? '' : '/thumb'}`);
    });
    return () => {
      gone = true;
      if (shown) URL.revokeObjectURL(shown);
    };
  }, [id, size]);
  return (
    <Image
      source={uri ? { uri } : undefined}
      alt={label}
      aria-label={label}
      resizeMode="cover"
      style={{
        width: Math.round((size * 4) / 3),
        height: size,
        borderRadius: CORNER.s,
        backgroundColor: palette.panel,
      }}
    />
  );
}

const styles = StyleSheet.create({ strip: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s } });
