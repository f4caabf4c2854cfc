import { useEffect, useState } from 'react';
import type { QueuedPhoto } from '../../sync/deviceStore';
import { photoState, useWorkshop } from '../../sync/workshop';

/** How a photo on this device stands with the workshop; null when the workshop has it. Asked again whenever something was sent. */
export function usePhotoState(id: string): Pick<QueuedPhoto, 'state' | 'reason'> | null {
  const sync = useWorkshop((state) => state.sync);
  const [state, setState] = useState<Pick<QueuedPhoto, 'state' | 'reason'> | null>(null);
  useEffect(() => {
    let gone = false;
    void photoState(id).then((found) => gone || setState(found));
    return () => {
      gone = true;
    };
  }, [id, sync]);
  return state;
}
