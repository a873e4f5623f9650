import { useTheme } from '@tamagui/core';
import type { Section } from '@nucleon/core/drawing/primitives';
import { Svg } from 'react-native-svg';
import type { Place } from './place';
import { SectionLabels } from './SectionLabels';
import { Shapes } from './Shapes';
import { useDrawingInk } from './useDrawingInk';

/** Room beside the drawing for its words, px. */
const LEFT_PX = 64;
const RIGHT_PX = 128;
const PAD_PX = 10;

interface SectionDrawingProps {
  readonly section: Section;
  readonly width: number;
  readonly maxHeight: number;
}

/** The section's primitives as SVG, true to one scale in both directions. */
export function SectionDrawing({ section, width, maxHeight }: SectionDrawingProps) {
  const theme = useTheme();
  const { halfWidthMm, topMm, bottomMm } = section;
  const scale = Math.min(
    (width - LEFT_PX - RIGHT_PX) / (2 * halfWidthMm),
    (maxHeight - 2 * PAD_PX) / (bottomMm - topMm),
  );
  const height = (bottomMm - topMm) * scale + 2 * PAD_PX;
  const middle = LEFT_PX + (width - LEFT_PX - RIGHT_PX) / 2;
  const X = (x: number): number => middle + x * scale;
  const Z = (z: number): number => PAD_PX + (z - topMm) * scale;
  const { ink } = useDrawingInk();
  const line = theme.line.val;
  const place: Place = { X, Z, scale };
  return (
    <Svg width={width} height={height} role="img" aria-label={section.description}>
      <Shapes primitives={section.primitives} place={place} />
      <SectionLabels
        labels={section.labels}
        place={place}
        ink={(tone) => (tone === 'water' ? theme.water.val : ink(tone))}
        halo={theme.surface.val}
        hairline={line}
        halfWidthMm={halfWidthMm}
      />
    </Svg>
  );
}
