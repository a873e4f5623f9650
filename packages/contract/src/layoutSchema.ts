import { holeFields, pieceFields, putSchema } from './jobFileSchema';
import { id, list, object, type JsonSchema } from './schemaParts';

const MOST_HOLES = 2000;
const part = (schema: JsonSchema): JsonSchema =>
  Object.fromEntries(Object.entries(schema).filter(([key]) => key !== '$id'));

/** Body of a layout's PUT: the piece where it changed, the holes that did, and those taken away. */
export const layoutSchema: JsonSchema = {
  $id: 'urn:nucleon:put:layout',
  ...object(
    {
      holes: list(
        part(putSchema({ ...holeFields, required: { id, ...holeFields.required } }, 'layout-hole')),
        MOST_HOLES,
      ),
    },
    { piece: part(putSchema(pieceFields, 'layout-piece')), removed: list(id, MOST_HOLES) },
  ),
};
