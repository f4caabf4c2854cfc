/** What a line or a face of a drawing is: the part itself, what is wrong with it, or what only stands beside. */
export type Tone = 'ink' | 'soft' | 'part' | 'bad' | 'blue' | 'ground';

/** One line or face of a drawing. */
export interface Mark {
  /** SVG path within {@link FRAME}. */
  readonly d: string;
  readonly line?: Tone;
  readonly face?: Tone;
  readonly width?: number;
}

/** A drawing: its marks from back to front. */
export type Drawing = readonly Mark[];

/** Every drawing's own units. */
export const FRAME = { width: 96, height: 60 } as const;

export const line = (d: string, tone: Tone = 'ink', width = 1.5): Mark => ({ d, line: tone, width });
export const face = (d: string, tone: Tone = 'part', edge: Tone = 'ink'): Mark => ({
  d,
  face: tone,
  line: edge,
  width: 1.5,
});
export const bad = (d: string, width = 2): Mark => ({ d, line: 'bad', width });
export const badFace = (d: string): Mark => ({ d, face: 'bad' });

export const box = (x: number, y: number, width: number, height: number): string =>
  `M${x} ${y}h${width}v${height}h${-width}Z`;
export const disc = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
/** The same mark at several places. */
export const each = (places: readonly (readonly [number, number])[], draw: (x: number, y: number) => string): string =>
  places.map(([x, y]) => draw(x, y)).join('');
/** A small drop that hangs at (x, y). */
export const drop = (x: number, y: number, size = 8): string =>
  `M${x} ${y}c${size * 0.2} ${size * 0.5} ${size / 2} ${size * 0.6} ${size / 2} ${size}a${size / 2} ${size / 2} 0 1 1 ${-size} 0c0 ${-size * 0.4} ${size * 0.3} ${-size * 0.5} ${size / 2} ${-size}Z`;
/** A crack that runs from (x, y) over the given steps. */
export const crack = (x: number, y: number, ...steps: readonly (readonly [number, number])[]): string =>
  `M${x} ${y}${steps.map(([dx, dy]) => `l${dx} ${dy}`).join('')}`;
