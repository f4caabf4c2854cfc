import { useRouter } from 'expo-router';
import { useEffect, useRef } from 'react';
import { create } from 'zustand';
import { readDevice, writeDevice } from '../../sync/deviceNotes';
import type { SpineStop } from './places';

const KEPT = 'weskopos.keys';
/** A second key that comes later than this stands for itself, ms. */
const SECOND_WITHIN_MS = 1500;
const TYPING = ['INPUT', 'TEXTAREA'];

interface KeysState {
  /** Single keys move about; kept on the device, on until somebody turns them off. */
  readonly on: boolean;
  readonly turn: (on: boolean) => void;
  /** The list of keys is open. */
  readonly listed: boolean;
  readonly list: (listed: boolean) => void;
}

/** Whether keys lead anywhere, and whether their list is open. */
export const useKeys = create<KeysState>((set) => ({
  on: readDevice(KEPT) !== 'off',
  turn: (on) => {
    writeDevice(KEPT, on ? 'on' : 'off');
    set({ on });
  },
  listed: false,
  list: (listed) => set({ listed }),
}));

/** Whether a key is meant for a field or a slider, not for the page. */
export function isTyping({ target }: Pick<KeyboardEvent, 'target'>): boolean {
  const element = target instanceof HTMLElement ? target : null;
  return element !== null && (TYPING.includes(element.tagName) || element.getAttribute('role') === 'slider');
}

/**
 * `g` and a letter lead somewhere, `/` to the search, `?` lists them, Esc closes the list.
 *
 * @param ownKeys the page has `/` and `?` of its own
 */
export function useSpineKeys(stops: readonly SpineStop[], ownKeys: boolean): void {
  const router = useRouter();
  const armedAt = useRef(-Infinity);
  const { on, listed, list } = useKeys();
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.key === 'Escape' && listed) return list(false);
      if (!on || isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
      const second = event.timeStamp - armedAt.current <= SECOND_WITHIN_MS;
      armedAt.current = -Infinity;
      const stop = second ? stops.find(({ letter }) => letter === event.key) : undefined;
      const search = !ownKeys && event.key === '/';
      const help = !ownKeys && event.key === '?';
      if (event.key === 'g' && !second) armedAt.current = event.timeStamp;
      if (stop) {
        list(false);
        router.navigate(stop.href);
      } else if (search) router.navigate('/?find=1');
      else if (help) list(!listed);
      // What a second key stood for is not also what it stands for alone.
      if (stop || search || help) {
        event.preventDefault();
        event.stopImmediatePropagation();
      }
    };
    window.addEventListener('keydown', listen, { capture: true });
    return () => window.removeEventListener('keydown', listen, { capture: true });
  }, [router, stops, ownKeys, on, listed, list]);
}
