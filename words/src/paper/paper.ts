import type { FindingPhoto, Grade, GradedPoint } from '@weskopos/core';
import type { DeckDrawing } from '@weskopos/core/decks/drawDeck';
import type { DeckName } from '@weskopos/core/decks/deckNames';

/** A line of text. */
export interface PaperLine {
  readonly text: string;
  readonly weight: 'strong' | 'plain' | 'soft';
}

/** A photo with what it is of. */
export interface PaperPhoto extends FindingPhoto {
  /** What it is of. */
  readonly of: string;
  /** With its number among those of the same. */
  readonly label: string;
}

/** Photos of one day. */
export interface PaperPhotos {
  /** Now, or the day of the last visit. */
  readonly when: string;
  readonly photos: readonly PaperPhoto[];
}

/** One point or one work: what, how it is graded, why, with its pictures. */
export interface PaperRow {
  readonly key: string;
  readonly grade: Grade;
  readonly carried: boolean;
  readonly name: string;
  /** The grade, or how a work stands. */
  readonly word: string;
  readonly why: string;
  /** Where the limit stands; empty where there is none. */
  readonly source: string;
  /** What was read. */
  readonly value: string;
  /** Today's, and beside them the last visit's where both have some. */
  readonly photos: readonly PaperPhotos[];
  /** The point it tells of; null for a work. */
  readonly graded: GradedPoint | null;
}

/** One floor of the vehicle. */
export interface PaperDeck {
  readonly deck: DeckName;
  /** What it is, and how it is read. */
  readonly name: string;
  readonly drawing: DeckDrawing;
  /** What the drawing had no room to name, and how much nobody has seen; may be empty. */
  readonly note: string;
  /** The drawing in words, for who does not see it. */
  readonly alt: string;
}

/** One part of a report, in the order they are told. */
export type PaperBlock =
  | { readonly kind: 'lines'; readonly title: string | null; readonly lines: readonly PaperLine[] }
  | {
      readonly kind: 'verdict';
      readonly grade: Grade;
      readonly title: string;
      readonly sentence: string;
      readonly counts: string;
      readonly unseen: PaperLine;
    }
  | { readonly kind: 'warning'; readonly text: string }
  | {
      readonly kind: 'systems';
      readonly title: string;
      readonly cells: readonly {
        readonly key: string;
        readonly grade: Grade;
        readonly name: string;
        readonly word: string;
        readonly rest: string;
      }[];
    }
  | { readonly kind: 'rows'; readonly title: string; readonly level: 2 | 3; readonly rows: readonly PaperRow[] }
  | { readonly kind: 'heading'; readonly text: string }
  | {
      readonly kind: 'table';
      readonly title: string;
      readonly head: readonly string[];
      readonly rows: readonly (readonly string[])[];
    }
  | {
      readonly kind: 'decks';
      readonly title: string;
      readonly decks: readonly PaperDeck[];
    }
  | { readonly kind: 'photos'; readonly title: string; readonly photos: readonly PaperPhoto[] }
  | {
      readonly kind: 'code';
      readonly title: string;
      readonly lines: readonly PaperLine[];
      readonly code: string;
      readonly label: string;
      readonly help: string;
    }
  | { readonly kind: 'small'; readonly text: string };

/** A report in words, whatever it is shown on: screen, print or PDF. */
export interface Paper {
  readonly title: string;
  /** What vehicle it is. */
  readonly over: string;
  /** Of the language, BCP 47. */
  readonly locale: string;
  readonly blocks: readonly PaperBlock[];
}
