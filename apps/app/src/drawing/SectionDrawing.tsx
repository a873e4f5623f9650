import { useTheme } from '@tamagui/core';
import type { Section } from '@nucleon/core/math/primitives';
import { Svg } from 'react-native-svg';
import type { Place } from './place';
import { SectionLabels } from './SectionLabels';
import { Shapes } from './Shapes';
import { useDrawingInk } from './useDrawingInk';

/** Room beside the drawing for its words, px. */
const LEFT_PX = 64;
const RIGHT_PX = 128;
const PAD_PX = 10;

export interface SectionPlace extends Place {
  readonly height: number;
}

/** Where a section's millimetres fall on the screen. */
export function sectionPlace(
  { halfWidthMm, topMm, bottomMm }: Section,
  width: number,
  maxHeight: number,
): SectionPlace {
  const scale = Math.min(
    (width - LEFT_PX - RIGHT_PX) / (2 * halfWidthMm),
    (maxHeight - 2 * PAD_PX) / (bottomMm - topMm),
  );
  const middle = LEFT_PX + (width - LEFT_PX - RIGHT_PX) / 2;
  return {
    X: (x) => middle + x * scale,
    Z: (z) => PAD_PX + (z - topMm) * scale,
    scale,
    height: (bottomMm - topMm) * scale + 2 * PAD_PX,
  };
}

interface SectionDrawingProps {
  readonly section: Section;
  readonly width: number;
  readonly maxHeight: number;
}

/** The section's primitives as SVG, true to one scale in both directions. */
export function SectionDrawing({ section, width, maxHeight }: SectionDrawingProps) {
  const theme = useTheme();
  const { height, ...place } = sectionPlace(section, width, maxHeight);
  const { ink } = useDrawingInk();
  const line = theme.line.val;
  return (
    <Svg width={width} height={height} role="img" aria-label={section.description}>
      <Shapes primitives={section.primitives} place={place} />
      <SectionLabels
        labels={section.labels}
        place={place}
        ink={(tone) => (tone === 'water' ? theme.water.val : ink(tone))}
        halo={theme.surface.val}
        hairline={line}
        halfWidthMm={section.halfWidthMm}
      />
    </Svg>
  );
}
