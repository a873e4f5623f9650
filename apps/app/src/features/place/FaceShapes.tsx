import type { StoredPiece } from '@nucleon/contract/wire';
import type { Outline } from '@nucleon/core/documents/outline';
import type { KeepOffShape } from '@nucleon/core/documents/piece';
import { bandWidth } from '@nucleon/core/layout/services';
import { memo } from 'react';
import { Circle, G, Image, Line, Path, Polyline, Rect } from 'react-native-svg';
import { photoAddress } from '../../api/photos';
import { outlinePath } from '../../drawing/outlinePath';
import { useDrawingInk } from '../../drawing/useDrawingInk';

const same = (mm: number): number => mm;
const down = (mm: number): number => -mm;

interface FaceProps {
  readonly piece: StoredPiece;
  readonly outline: Outline;
  readonly fill: string;
  readonly isBase: boolean;
  readonly px: number;
}

/** The piece itself: photograph, body, what was drawn on it and what a scan found behind it. */
export const FaceShapes = memo(function FaceShapes({
  piece,
  outline,
  fill,
  isBase,
  px,
}: FaceProps) {
  const { edge, ink } = useDrawingInk();
  const { photo } = piece;
  const path = outlinePath(outline, { X: same, Y: down, scale: 1 });
  const height = photo ? photo.heightPx * photo.mmPerPx : 0;
  const shown = isBase ? null : photo;
  const lies = photo
    ? { x: photo.xMm, y: -photo.yMm - height, width: photo.widthPx * photo.mmPerPx, height }
    : {};
  return (
    <G>
      {shown ? (
        <Image href={photoAddress(piece.id, shown.id)} {...lies} preserveAspectRatio="none" />
      ) : null}
      <Path
        d={path}
        fill={fill}
        fillOpacity={shown ? 0.25 : 1}
        stroke={edge}
        strokeWidth={1.6 * px}
      />
      {isBase
        ? null
        : piece.services?.map((band) => (
            <G key={band.id}>
              <Polyline
                points={band.pointsMm.map(([x, y]) => `${x},${-y}`).join(' ')}
                fill="none"
                stroke={ink('caution')}
                strokeOpacity={0.28}
                strokeWidth={bandWidth(band)}
                strokeLinejoin="round"
              />
              <Polyline
                points={band.pointsMm.map(([x, y]) => `${x},${-y}`).join(' ')}
                fill="none"
                stroke={ink('caution')}
                strokeWidth={Math.max(1.5 * px, band.widthMm)}
                strokeOpacity={0.75}
                strokeLinejoin="round"
              />
            </G>
          ))}
      {isBase
        ? null
        : piece.keepOff?.map((place) => (
            <KeepOffMark
              key={place.id}
              shape={place.shape}
              solid={place.kind === 'hole' || place.kind === 'cut-out'}
              tone={edge}
              px={px}
            />
          ))}
    </G>
  );
});

/** Something to keep clear of: hatched along its edge, or an opening that is there already. */
export function KeepOffMark({
  shape,
  solid,
  tone,
  px,
}: {
  readonly shape: KeepOffShape;
  readonly solid: boolean;
  readonly tone: string;
  readonly px: number;
}) {
  const style = {
    fill: tone,
    fillOpacity: solid ? 0.3 : 0.1,
    stroke: tone,
    strokeWidth: 1.2 * px,
    strokeDasharray: solid ? undefined : `${6 * px} ${3 * px}`,
  };
  if (shape.kind === 'circle')
    return <Circle cx={shape.xMm} cy={-shape.yMm} r={shape.diameterMm / 2} {...style} />;
  if (shape.kind === 'rectangle') {
    const { xMm: x, yMm, widthMm: width, heightMm: height } = shape;
    const box = { x, y: -yMm - height, width, height };
    return <Rect {...box} {...style} />;
  }
  return (
    <Polyline
      points={shape.pointsMm.map(([x, y]) => `${x},${-y}`).join(' ')}
      {...style}
      fill="none"
      strokeWidth={2.5 * px}
    />
  );
}

/** Lines across the whole face that a dragged hole rests on. */
export function GuideLine({
  axis,
  atMm,
  box,
  tone,
  px,
}: {
  readonly axis: 'x' | 'y';
  readonly atMm: number;
  readonly box: { readonly widthMm: number; readonly heightMm: number };
  readonly tone: string;
  readonly px: number;
}) {
  const line = axis === 'x' ? [atMm, 0, atMm, -box.heightMm] : [0, -atMm, box.widthMm, -atMm];
  const [x1, y1, x2, y2] = line;
  return (
    <Line
      x1={x1}
      y1={y1}
      x2={x2}
      y2={y2}
      stroke={tone}
      strokeWidth={px}
      strokeDasharray={`${7 * px} ${4 * px}`}
    />
  );
}
