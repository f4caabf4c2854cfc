import { PHOTO_PATH } from '@weskopos/contract/device';
import { useEffect, useState } from 'react';
import { localPhoto } from '../../sync/workshop';

/** Where a photo is shown from: this device while it waits, the workshop afterwards; null until that is known. */
export function usePhotoUri(id: string, size: 'full' | 'thumb'): string | null {
  const [uri, setUri] = useState<string | null>(null);
  useEffect(() => {
    let shown: string | null = null;
    let gone = false;
    void localPhoto(id).then((local) => {
      if (gone) return local && URL.revokeObjectURL(local);
      shown = local;
      setUri(local ?? `${PHOTO_PATH}/${id}${size === 'full' ? '' : '/thumb'}`);
    });
    return () => {
      gone = true;
      if (shown) URL.revokeObjectURL(shown);
    };
  }, [id, size]);
  return uri;
}
