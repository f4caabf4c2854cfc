import { walk as say } from '@weskopos/words/en/pages/walk';

/** What a key does in the walk. */
export const WALK_ACTS = [
  'next',
  'back',
  'sound',
  'hand-grade',
  'number',
  'photo',
  'note',
  'jump',
  'undo',
  'overview',
  'help',
] as const;
/** Something the walk does at a key, a swipe or a touch. */
export type WalkAct = (typeof WALK_ACTS)[number];

export const WALK_KEYS: Readonly<Record<WalkAct, { readonly keys: readonly string[]; readonly word: string }>> = {
  next: { keys: ['n', 'ArrowRight'], word: 'next' },
  back: { keys: ['b', 'ArrowLeft'], word: 'back' },
  sound: { keys: ['s', 'p'], word: say.passSoundDryAllLit },
  'hand-grade': { keys: ['a', 'f'], word: say.advisoryOrFailByHand },
  number: { keys: ['0', '1', '2', '3', '4', '5', '6', '7', '8', '9'], word: say.typeTheFirstReading },
  photo: { keys: ['c'], word: 'photo' },
  note: { keys: ['t'], word: 'note' },
  jump: { keys: ['j', '/'], word: say.jumpKey },
  undo: { keys: ['u'], word: 'undo' },
  overview: { keys: ['o'], word: 'overview' },
  help: { keys: ['?'], word: say.thisList },
};

/** The act a key stands for; undefined for keys the walk leaves alone, and for any with a modifier. */
export function walkAct(event: {
  readonly key: string;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
  readonly altKey: boolean;
}): WalkAct | undefined {
  if (event.ctrlKey || event.metaKey || event.altKey) return undefined;
  return WALK_ACTS.find((act) => WALK_KEYS[act].keys.includes(event.key));
}

/** Less of a sideways move is no swipe, px; and it must be clearly more sideways than up or down. */
const LEAST_SWIPE_PX = 70;
const SIDEWAYS = 2;

/** The step a swipe goes to: left is on, right is back. */
export function swipeAct(
  from: { readonly x: number; readonly y: number },
  to: { readonly x: number; readonly y: number },
): 'next' | 'back' | undefined {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  if (Math.abs(dx) < LEAST_SWIPE_PX || Math.abs(dx) < SIDEWAYS * Math.abs(dy)) return undefined;
  return dx < 0 ? 'next' : 'back';
}
