import { useDisplay } from '../features/display/displayStore';
import { config, LINES, SIZES } from './tamagui.config';

/** A browser’s letters as it comes, px: its own setting is in `rem`, and ours are drawn for this. */
const USUAL_PX = 16;

const scaled = (name: string, px: Readonly<Record<string, number>>, scale: number): string =>
  Object.entries(px)
    .map(([key, size]) => `--f-${name}-${key}: calc(${size}rem / ${USUAL_PX} * ${scale});`)
    .join(' ');

/** Type as large as the browser is set to and the person has chosen; the bench sizes its own to the screen. */
export function TextScale() {
  const scale = useDisplay((state) => state.textScale);
  // Twice, to come before the sizes the fonts were made with.
  const faces = Object.keys(config.fonts).map((font) => `:root .font_${font}.font_${font}`);
  return (
    <style>{`${faces.join(', ')} { ${scaled('size', SIZES, scale)} ${scaled('lineHeight', LINES, scale)} }`}</style>
  );
}

/** The same for what is told its letters in px: fields to type in. */
export function useLetterPx(px: number): number {
  const scale = useDisplay((state) => state.textScale);
  const root =
    typeof document === 'undefined'
      ? USUAL_PX
      : parseFloat(getComputedStyle(document.documentElement).fontSize) || USUAL_PX;
  return (px * scale * root) / USUAL_PX;
}
