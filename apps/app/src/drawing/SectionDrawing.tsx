import { useTheme } from '@tamagui/core';
import type { Section } from '@nucleon/core/drawing/primitives';
import { Defs, Line, Pattern, Svg } from 'react-native-svg';
import { useThemeName } from '../features/display/displayStore';
import { BODIES } from '../ui/palette';
import type { Ink, Place } from './place';
import { SectionLabels } from './SectionLabels';
import { SectionShape } from './SectionShape';

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
  const bodies = BODIES[useThemeName()];
  const { halfWidthMm, topMm, bottomMm } = section;
  const scale = Math.min(
    (width - LEFT_PX - RIGHT_PX) / (2 * halfWidthMm),
    (maxHeight - 2 * PAD_PX) / (bottomMm - topMm),
  );
  const height = (bottomMm - topMm) * scale + 2 * PAD_PX;
  const middle = LEFT_PX + (width - LEFT_PX - RIGHT_PX) / 2;
  const X = (x: number): number => middle + x * scale;
  const Z = (z: number): number => PAD_PX + (z - topMm) * scale;
  const ink: Ink = (tone) => {
    if (tone === 'water') return bodies.bath;
    if (tone === 'void') return theme.ground.val;
    if (tone in bodies) return bodies[tone as keyof typeof bodies];
    return theme[tone as 'ink' | 'muted' | 'rim' | 'caution'].val;
  };
  const line = theme.line.val;
  const place: Place = { X, Z, scale };
  return (
    <Svg width={width} height={height} role="img" aria-label={section.description}>
      <Defs>
        <Pattern
          id="grain"
          width={7}
          height={7}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(38)"
        >
          <Line
            x1={0}
            y1={0}
            x2={0}
            y2={7}
            stroke={theme.ink.val}
            strokeWidth={0.7}
            strokeOpacity={0.16}
          />
        </Pattern>
      </Defs>
      {section.primitives.map((primitive, index) => (
        <SectionShape
          key={index}
          primitive={primitive}
          place={place}
          ink={ink}
          edge={theme.ink.val}
          wet={theme.water.val}
        />
      ))}
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
