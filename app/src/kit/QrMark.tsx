import QRCode from 'qrcode';
import Svg, { Path } from 'react-native-svg';

/** Light cells round the code that a reader needs to find it. */
const QUIET = 4;

/** A text as a QR code, dark on light whatever the palette, so that any camera reads it. */
export function QrMark({
  text,
  size,
  label,
}: {
  readonly text: string;
  readonly size: number;
  readonly label: string;
}) {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const cells = Array.from({ length: modules.size }, (_, row) =>
    Array.from({ length: modules.size }, (__, column) =>
      modules.get(row, column) ? `M${column + QUIET} ${row + QUIET}h1v1h-1z` : '',
    ).join(''),
  ).join('');
  const side = modules.size + 2 * QUIET;
  return (
    <Svg width={size} height={size} viewBox={`0 0 ${side} ${side}`} role="img" aria-label={label}>
      <Path d={`M0 0h${side}v${side}h-${side}z`} fill="#fff" />
      <Path d={cells} fill="#000" />
    </Svg>
  );
}
