import { create } from 'qrcode';
import Svg, { Path, Rect } from 'react-native-svg';

/** Blank round the code, in its own squares (ISO/IEC 18004, 6.3.8). */
const QUIET = 4;
const SIZE_PX = 220;

/** Dark on white in both themes: a camera reads it so. */
export default function QrCode({ text, label }: { readonly text: string; readonly label: string }) {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const { size, data } = modules;
  const squares = Array.from(data).flatMap((dark, at) =>
    dark ? [`M${(at % size) + QUIET} ${Math.floor(at / size) + QUIET}h1v1h-1z`] : [],
  );
  const whole = size + 2 * QUIET;
  return (
    <Svg
      width={SIZE_PX}
      height={SIZE_PX}
      viewBox={`0 0 ${whole} ${whole}`}
      role="img"
      aria-label={label}
    >
      <Rect width={whole} height={whole} fill="#ffffff" />
      <Path d={squares.join('')} fill="#000000" />
    </Svg>
  );
}
