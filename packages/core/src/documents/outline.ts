import { LIMITS } from '../data/schema/limits';
import { kinds, list, number, object, points, type Document } from '../data/schema/schema';

const length = number(LIMITS.lengthMm);

/**
 * The piece seen square on to the face that is drilled. A cylinder or cone is unrolled: x is arc
 * length along the outside (at the larger end of a cone), y is height.
 */
export const outlineSchema = kinds({
  rectangle: object({ widthMm: length, heightMm: length }),
  circle: object({ diameterMm: length }),
  polygon: object(
    { pointsMm: points(3, 10_000, LIMITS.placeMm) },
    {
      /** A polygon's sides may bend: `bulges[i]` is that of the side from point i to the next. */
      bulges: list(number({ min: -1000, max: 1000, unit: 'as a bulge' }), 10_000),
    },
  ),
  cylinder: object({ outerDiameterMm: length, heightMm: length }),
  cone: object({ bottomDiameterMm: length, topDiameterMm: length, heightMm: length }),
});
export type Outline = Document<typeof outlineSchema>;
export type PolygonOutline = Outline & { readonly kind: 'polygon' };
