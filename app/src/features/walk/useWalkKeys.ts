import { useEffect, useRef } from 'react';
import { walkAct, type WalkAct } from './walkKeys';

const TYPING = ['INPUT', 'TEXTAREA'];

/** Listens to the walk's keys while it is shown; never while something is being typed. */
export function useWalkKeys(onAct: (act: WalkAct, key: string) => void): void {
  const act = useRef(onAct);
  useEffect(() => {
    act.current = onAct;
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const target = event.target instanceof HTMLElement ? event.target : null;
      if (target && (TYPING.includes(target.tagName) || target.getAttribute('role') === 'slider')) return;
      const meant = walkAct(event);
      if (!meant) return;
      event.preventDefault();
      act.current(meant, event.key);
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
