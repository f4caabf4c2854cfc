import sharp from 'sharp';
import { seededRandom } from '@weskopos/core/simulated';

/** What a drawn stand-in for a photo shows. */
export type DrawnSubject = 'pad' | 'tread' | 'leak' | 'belt';

const SIDE = { width: 960, height: 720 } as const;

/** A drawn stand-in for a camera's picture of a finding, labelled as drawn. `wear` 0 new to 1 gone. */
export function drawPhoto(subject: DrawnSubject, wear: number, seed: number): Promise<Buffer> {
  const random = seededRandom(seed);
  const between = (low: number, high: number) => low + (high - low) * random();
  const tilt = between(-4, 4).toFixed(1);
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${SIDE.width}" height="${SIDE.height}" viewBox="0 0 960 720">
    <defs>
      <filter id="grain"><feTurbulence type="fractalNoise" baseFrequency="0.7" numOctaves="3" seed="${seed % 997}"/><feColorMatrix values="0 0 0 0 0.5  0 0 0 0 0.5  0 0 0 0 0.5  0 0 0 0.35 0"/></filter>
      <filter id="blur"><feGaussianBlur stdDeviation="14"/></filter>
      <radialGradient id="torch" cx="${between(0.4, 0.6).toFixed(2)}" cy="0.45" r="0.75"><stop offset="0" stop-color="#fff" stop-opacity="0.35"/><stop offset="1" stop-color="#000" stop-opacity="0.75"/></radialGradient>
    </defs>
    <rect width="960" height="720" fill="#3a3d3f"/>
    <g transform="rotate(${tilt} 480 360)">${SUBJECTS[subject](wear, between)}</g>
    <rect width="960" height="720" filter="url(#grain)"/><rect width="960" height="720" fill="url(#torch)"/>
    <text x="24" y="696" font-family="sans-serif" font-size="24" fill="#fff" fill-opacity="0.75">drawn for the demo</text>
  </svg>`;
  return sharp(Buffer.from(svg)).jpeg({ quality: 80 }).toBuffer();
}

type Between = (low: number, high: number) => number;

const SUBJECTS: Record<DrawnSubject, (wear: number, between: Between) => string> = {
  pad: (wear) => {
    const lining = 20 + 150 * (1 - wear);
    return `<rect x="430" y="40" width="60" height="640" fill="#a9adb0"/><rect x="436" y="40" width="8" height="640" fill="#d7dadb"/>
      <rect x="${490}" y="150" width="${lining}" height="400" fill="#5b4f45"/><rect x="${490 + lining}" y="130" width="46" height="440" fill="#20262b"/>
      <rect x="${430 - 110}" y="150" width="110" height="400" fill="#5b4f45"/><rect x="${430 - 156}" y="130" width="46" height="440" fill="#20262b"/>
      <path d="M180 90H780V30H180Z" fill="#2c3238"/>`;
  },
  tread: (wear, between) =>
    Array.from({ length: 5 }, (_, rib) => {
      const x = 90 + rib * 160;
      const blocks = Array.from(
        { length: 8 },
        (_, row) => `<path d="M${x} ${row * 96 + between(-6, 6)}h128l-14 ${70 + wear * 18}h-104z" fill="#24272a"/>`,
      ).join('');
      return `<rect x="${x - 16}" y="0" width="16" height="720" fill="#${wear > 0.6 ? '3b3e41' : '0c0d0e'}"/>${blocks}`;
    }).join(''),
  leak: (wear, between) =>
    `<rect x="120" y="80" width="720" height="330" rx="30" fill="#6d7275"/><rect x="120" y="400" width="720" height="26" fill="#43474a"/>
     ${Array.from({ length: 9 }, (_, i) => `<circle cx="${160 + i * 80}" cy="413" r="11" fill="#8e9396"/>`).join('')}
     <path d="M${between(360, 420)} 420C${between(330, 380)} ${480 + wear * 120} ${between(520, 580)} ${520 + wear * 120} ${between(540, 620)} 426Z" fill="#1a1206" fill-opacity="0.85" filter="url(#blur)"/>
     <ellipse cx="480" cy="${470 + wear * 90}" rx="${40 + wear * 30}" ry="14" fill="#0b0702" fill-opacity="0.8"/>`,
  belt: (wear, between) =>
    Array.from(
      { length: 6 },
      (_, rib) => `<rect x="0" y="${190 + rib * 58}" width="960" height="46" fill="#1d1f21"/>`,
    ).join('') +
    Array.from({ length: Math.round(6 + wear * 22) }, () => {
      const x = between(20, 940);
      const y = 190 + Math.floor(between(0, 6)) * 58;
      return `<path d="M${x} ${y}l${between(-5, 5)} 46" stroke="#8a8478" stroke-width="4"/>`;
    }).join(''),
};
