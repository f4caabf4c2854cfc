import type { PhotoMark } from '@weskopos/core';

export const MARK_TOOLS = ['arrow', 'ring', 'text'] as const;
/** What a photo can be marked with. */
export type MarkTool = (typeof MARK_TOOLS)[number];

/** A place on the picture, shares of its width and height. */
export interface Share {
  readonly x: number;
  readonly y: number;
}

/** A tap is no drag: a mark made by one has this size, share of the width. */
const TAP_SIZE = 0.12;
const LEAST_DRAG = 0.02;

const inside = (share: number) => Number(Math.min(1, Math.max(0, share)).toFixed(4));

/** The mark a finger draws from one place to another; a tap gives one of a usual size, so nothing needs a precise drag. */
export function drawMark(tool: MarkTool, from: Share, to: Share, text: string): PhotoMark | null {
  const [x, y] = [inside(from.x), inside(from.y)];
  const dragged = Math.hypot(to.x - from.x, to.y - from.y) >= LEAST_DRAG;
  switch (tool) {
    case 'arrow': {
      if (dragged) return { kind: 'arrow', x, y, toX: inside(to.x), toY: inside(to.y) };
      return { kind: 'arrow', x: inside(from.x - TAP_SIZE), y: inside(from.y - TAP_SIZE), toX: x, toY: y };
    }
    case 'ring':
      return { kind: 'ring', x, y, radius: dragged ? inside(Math.hypot(to.x - from.x, to.y - from.y)) : TAP_SIZE };
    case 'text':
      return text.trim() === '' ? null : { kind: 'text', x, y, text: text.trim() };
  }
}
