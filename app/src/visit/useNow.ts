import { useEffect, useState } from 'react';
import { nowMs } from '../sync/clock';

/** Now, epoch ms, told anew every `everyMs` while somebody looks. */
export function useNow(everyMs: number): number {
  const [now, setNow] = useState(() => nowMs());
  useEffect(() => {
    const timer = setInterval(() => setNow(nowMs()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}

/** `6:40`, or `1:05:00` above an hour. */
export function clockWords(seconds: number): string {
  const whole = Math.ceil(seconds);
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor((whole % 3600) / 60), whole % 60];
  const two = (n: number) => String(n).padStart(2, '0');
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}
