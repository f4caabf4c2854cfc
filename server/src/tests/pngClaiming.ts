/** A PNG that claims a size in its header and holds nothing of it. */
export function pngClaiming(width: number, height: number): Buffer {
  const png = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  );
  png.writeUInt32BE(width, 16);
  png.writeUInt32BE(height, 20);
  return png;
}
