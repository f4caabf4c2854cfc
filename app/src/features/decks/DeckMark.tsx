import type { Grade } from '@weskopos/core';
import { gradeMark } from '@weskopos/core/decks/marks';
import { Shapes } from './Shapes';

/** A grade's mark in a drawing, centred on (x, y). */
export function DeckMark({ grade, x, y }: { readonly grade: Grade; readonly x: number; readonly y: number }) {
  return <Shapes shapes={[gradeMark(grade, x, y)]} />;
}
