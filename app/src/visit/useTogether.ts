import type { Presence } from '@weskopos/contract';
import { useEffect, useRef, useState } from 'react';
import { holdPlace, listenTo } from '../sync/live';
import { deviceId, refreshLifeQuietly } from '../sync/workshop';

/** Changes of others are fetched together, ms: one act is often several entries. */
const GATHER_MS = 300;

/** Who else is at this visit and where; what they find comes in by itself. */
export function useTogether(vehicleId: string, visitId: string, stop: string): Presence {
  const [others, setOthers] = useState<Presence>([]);
  const standsAt = useRef(stop);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const close = listenTo(visitId, deviceId, {
      onChanged: () => {
        clearTimeout(timer);
        timer = setTimeout(() => void refreshLifeQuietly(vehicleId), GATHER_MS);
      },
      onHere: (presence) => {
        setOthers(presence.filter(({ device }) => device !== deviceId));
        // Told before the server listened, or lost with a connection that began again.
        if (presence.some((one) => one.device === deviceId && one.stop === null))
          void holdPlace(visitId, deviceId, standsAt.current);
      },
    });
    return () => {
      clearTimeout(timer);
      close();
    };
  }, [vehicleId, visitId]);
  useEffect(() => {
    standsAt.current = stop;
    void holdPlace(visitId, deviceId, stop);
  }, [visitId, stop]);
  return others;
}
