/** What a photo may be, the same on the device and the server. Bytes, pixels, and sides in px. */
export const PHOTO_LIMITS = {
  mostBytes: 12 * 1024 * 1024,
  mostPixels: 60_000_000,
  mostSide: 16_000,
  keepSide: 2048,
  thumbSide: 320,
} as const;
