import { useEffect } from 'react';
import { create } from 'zustand';
import { padAsksOf, type PadAsks } from '../../kit/pad';
import { followFocus } from './followFocus';

interface Pad {
  /** The field figures go to; null while the keypad is away. */
  readonly field: HTMLInputElement | null;
  readonly asks: PadAsks | null;
}

/** Where the keypad's figures go. */
export const usePad = create<Pad>(() => ({ field: null, asks: null }));

/** Whether the keypad has the hand zone: what stands there else gives way. */
export const usePadHasHand = (): boolean => usePad(({ field }) => field !== null);

const take = (target: EventTarget | null) => {
  const asks = padAsksOf(target);
  usePad.setState(asks && target instanceof HTMLInputElement ? { field: target, asks } : { field: null, asks: null });
};

/** Follows the focus from one field of figures to the next. */
export function usePadFollowsFocus(): void {
  useEffect(() => followFocus(take), []);
}

/** The field after one in the order of the page; null for the last. */
export function fieldAfter(field: HTMLInputElement): HTMLInputElement | null {
  const all = [...document.querySelectorAll<HTMLInputElement>('input[data-pad]')];
  return all[all.indexOf(field) + 1] ?? null;
}

/** As if it were typed on a keyboard: the field's own rules hear it. */
export function typeText(field: HTMLInputElement, text: string): void {
  field.focus();
  document.execCommand('insertText', false, text);
}

export function erase(field: HTMLInputElement): void {
  field.focus();
  document.execCommand('delete');
}

/** The platform's own keyboard for this field, as for dictation, until it is left. */
export function askForKeyboard(field: HTMLInputElement): void {
  field.blur();
  field.inputMode = field.dataset['padUsual'] ?? 'text';
  field.addEventListener('blur', () => (field.inputMode = 'none'), { once: true });
  field.focus();
}
