import type { Finding, FindingChange, Phase, PointRef } from '@weskopos/core';
import type { Background, Draft } from '../../../visit/visitContext';

/** Writes the next entry of a point, made from the one that stands there. */
export type PutFinding = (ref: PointRef, change: (before: Finding | undefined) => FindingChange) => void;

/** What every control of the walk is given. */
export interface ControlProps {
  readonly pointRef: PointRef;
  readonly finding: Finding | undefined;
  readonly background: Background;
  readonly phase: Phase;
  readonly put: PutFinding;
}

/** What a control that is slid shares with its neighbours: the value under the finger. */
export interface SlidingProps {
  readonly draft: Draft | null;
  readonly onDraft: (draft: Draft | null) => void;
}
