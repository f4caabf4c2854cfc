import type { TextInputProps } from 'react-native';

/** What a field asks of the keypad, kept on the field itself. */
export interface PadAsks {
  /** Several figures on one line, each with its own key to the next. */
  readonly line?: boolean;
  readonly signed?: boolean;
  /** Units a figure may be told in besides the usual one. */
  readonly units?: readonly string[];
  /** Takes *over* and *under*. */
  readonly bounds?: boolean;
  readonly fraction?: boolean;
}

/** Fingers, not a mouse: figures are typed on our own keys. */
const FINGERS = typeof window !== 'undefined' && window.matchMedia?.('(pointer: coarse)').matches === true;

/**
 * What a field of figures is given: on a touch screen the keypad's keys instead of a keyboard of letters.
 *
 * @param usual how the platform's own keyboard is asked for where there is a hardware one, or the hand asks for it
 */
export function padded(
  asks: PadAsks,
  usual: NonNullable<TextInputProps['inputMode']>,
): Pick<TextInputProps, 'inputMode'> {
  const dataSet = { pad: JSON.stringify(asks), padUsual: usual };
  return { inputMode: FINGERS ? 'none' : usual, ...{ dataSet } };
}

/** What is asked of the keypad by an element that may be a field of figures; null for any other, and where no fingers type. */
export function padAsksOf(element: EventTarget | null): PadAsks | null {
  if (!FINGERS || !(element instanceof HTMLInputElement)) return null;
  const told = element.dataset['pad'];
  // The hand has asked for the platform's keyboard here.
  return told === undefined || element.inputMode !== 'none' ? null : (JSON.parse(told) as PadAsks);
}

/** Keeps the focus where it is while a key is pressed. */
export const KEEPS_FOCUS = { onMouseDown: (event: { preventDefault: () => void }) => event.preventDefault() };
