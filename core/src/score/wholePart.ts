/** The name that a part has at all places across it: they differ in the last word but one. */
export const wholePart = (part: string): string => part.replace(/^(.* )\S+( \d+)$/, '$1$2');
