/** What the system says went wrong, e.g. `ENOENT`; undefined for an error of another kind. */
export function errorCode(error: unknown): string | undefined {
  return error instanceof Error && 'code' in error && typeof error.code === 'string' ? error.code : undefined;
}
