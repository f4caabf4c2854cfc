import { useEffect, useRef } from 'react';
import { isTyping, useKeys } from '../../shell/spine/keys';
import { walkAct, type WalkAct } from './walkKeys';

/** Listens to the walk's keys while it is shown; never while something is being typed, nor where single keys are turned off. */
export function useWalkKeys(onAct: (act: WalkAct, key: string) => void): void {
  const act = useRef(onAct);
  const { on } = useKeys();
  useEffect(() => {
    act.current = onAct;
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (!on || isTyping(event)) return;
      const meant = walkAct(event);
      if (!meant) return;
      event.preventDefault();
      act.current(meant, event.key);
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [on]);
}
