import { commonWords } from '@nucleon/core/words/screens/common';
import type { StoredHole, StoredPiece } from '@nucleon/contract/wire';
import type { Outline } from '@nucleon/core/documents/outline';
import { useTheme } from '@tamagui/core';
import { memo } from 'react';
import { G, Svg, Text as SvgText } from 'react-native-svg';
import { FaceShapes } from './FaceShapes';
import { HoleMark, type HoleMarkLook } from './HoleMark';
import type { FaceView } from '../../drawing/faceView';
import type { Placement } from './usePlacement';

/** Names are left off when there are so many holes that they would cover each other. */
const MAX_NAMES = 40;
const NAME_PX = 13;
const NAME_DROP_PX = 17;

interface FaceAtRestProps {
  readonly piece: StoredPiece;
  readonly outline: Outline;
  readonly fill: string;
  readonly isBase: boolean;
  readonly holes: readonly StoredHole[];
  readonly shift: number;
  readonly placement: Placement;
  readonly chosen: readonly string[];
  /** The hole whose distances are shown instead of its name. */
  readonly unnamed: string | null;
  readonly view: FaceView;
  readonly look: HoleMarkLook;
  readonly width: number;
  readonly height: number;
  readonly description: string;
}

/** The piece and every hole that is not under a finger: drawn once, kept while others move past. */
export const FaceAtRest = memo(function FaceAtRest(props: FaceAtRestProps) {
  const { piece, outline, fill, isBase, holes, shift, placement, chosen, view } = props;
  const theme = useTheme();
  const px = 1 / view.scale;
  const named = holes.length > MAX_NAMES ? [] : holes.filter(({ id }) => id !== props.unnamed);
  return (
    <Svg width={props.width} height={props.height} role="img" aria-label={props.description}>
      <G transform={`translate(${view.left} ${view.bottom}) scale(${view.scale})`}>
        <FaceShapes piece={piece} outline={outline} fill={fill} isBase={isBase} px={px} />
        {holes.map((hole) => (
          <HoleMark
            key={hole.id}
            x={hole.xMm + shift}
            y={hole.yMm + shift}
            radiusMm={hole.diameterMm / 2}
            coverRadiusMm={placement.coverRadius(hole)}
            broken={placement.broken.has(hole.id)}
            chosen={chosen.includes(hole.id)}
            px={px}
            look={props.look}
          />
        ))}
        {named.map((hole) => {
          const below = Math.max(hole.diameterMm / 2, placement.coverRadius(hole));
          const words = {
            x: hole.xMm + shift,
            y: -(hole.yMm + shift) + below + NAME_DROP_PX * px,
            textAnchor: 'middle' as const,
            fontSize: NAME_PX * px,
            fontFamily: 'Hyperlegible-600',
            fill: theme.ink.val,
          };
          return (
            <SvgText key={hole.id} {...words}>
              {hole.label || commonWords.hole}
            </SvgText>
          );
        })}
      </G>
    </Svg>
  );
});
