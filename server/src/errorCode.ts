/** What the system says went wrong, e.g. `ENOENT`; undefined for an error of another kind. */
export function errorCode(error: unknown): string | undefined {
  const has = typeof error === 'object' && error !== null && 'code' in error;
  return has && typeof error.code === 'string' ? error.code : undefined;
}
