/** What a scanned code says: a vehicle of this workshop, or none. Any origin: the address may have moved since it was printed. */
export function vehicleOnSticker(text: string): string | null {
  try {
    return /^\/vehicle\/([^/]+)\/?$/.exec(new URL(text).pathname)?.[1] ?? null;
  } catch {
    return null;
  }
}
