/** A figure as it is edited: no more decimals than are kept. */
export const plainFigure = (value: number): string => String(Number(value.toFixed(4)));
