import type { Primitive } from '@nucleon/core/math/primitives';
import { useTheme } from '@tamagui/core';
import { GrainPattern } from './GrainPattern';
import type { Place } from './place';
import { SectionShape } from './SectionShape';
import { useDrawingInk } from './useDrawingInk';

/** The primitives of a drawing in the theme's colours, with the hatching they use. */
export function Shapes({
  primitives,
  place,
}: {
  readonly primitives: readonly Primitive[];
  readonly place: Place;
}) {
  const theme = useTheme();
  const { ink, edge, wet } = useDrawingInk();
  return (
    <>
      <GrainPattern stroke={edge} />
      {primitives.map((primitive, index) => (
        <SectionShape
          key={index}
          primitive={primitive}
          place={place}
          ink={ink}
          edge={edge}
          wet={wet}
          halo={theme.surface.val}
        />
      ))}
    </>
  );
}
