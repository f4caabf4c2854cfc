import { ALL_WORKS } from '@weskopos/contract/device';
import { useEffect, useRef } from 'react';
import { listenTo } from '../sync/live';
import { deviceId, refreshLifeQuietly } from '../sync/workshop';

/** Answers come together where a keeper sends several, ms. */
const GATHER_MS = 300;

/**
 * What others say of works comes in by itself: the life of the vehicle is fetched again, or whoever asks hears of it.
 *
 * @param vehicleId the vehicle one looks at; null for all
 */
export function useLiveWorks(vehicleId: string | null, onChanged?: () => void): void {
  const hear = useRef(onChanged);
  useEffect(() => {
    hear.current = onChanged;
  }, [onChanged]);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let first = true;
    const close = listenTo(vehicleId ?? ALL_WORKS, deviceId, {
      onChanged: () => {
        // Listening begins with one: the page has just asked by itself.
        if (first && vehicleId === null) return void (first = false);
        clearTimeout(timer);
        timer = setTimeout(() => {
          if (vehicleId !== null) void refreshLifeQuietly(vehicleId);
          hear.current?.();
        }, GATHER_MS);
      },
      onHere: () => undefined,
    });
    return () => {
      clearTimeout(timer);
      close();
    };
  }, [vehicleId]);
}
