import type { Presence } from '@weskopos/contract';
import { useEffect, useState } from 'react';
import { holdPlace, listenTo } from '../sync/live';
import { deviceId, refreshLifeQuietly } from '../sync/workshop';

/** Changes of others are fetched together, ms: one act is often several entries. */
const GATHER_MS = 300;

/** Who else is at this visit and where; what they find comes in by itself. */
export function useTogether(vehicleId: string, visitId: string, stop: string): Presence {
  const [others, setOthers] = useState<Presence>([]);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const close = listenTo(visitId, deviceId, {
      onChanged: () => {
        clearTimeout(timer);
        timer = setTimeout(() => void refreshLifeQuietly(vehicleId), GATHER_MS);
      },
      onHere: (presence) => setOthers(presence.filter(({ device }) => device !== deviceId)),
    });
    return () => {
      clearTimeout(timer);
      close();
    };
  }, [vehicleId, visitId]);
  useEffect(() => {
    void holdPlace(visitId, deviceId, stop);
  }, [visitId, stop]);
  return others;
}
