import { EntitySchema } from 'typeorm';
import { foreignId, idColumn, text } from '../database/columns';

export interface PhotoRow {
  id: string;
  pieceId: string;
  mime: string;
  bytes: Buffer;
  takenInAt: Date;
}

export const photoEntity = new EntitySchema<PhotoRow>({
  name: 'piece_photo',
  columns: {
    id: idColumn,
    pieceId: foreignId('piece_id'),
    mime: text('mime', 40),
    bytes: { type: 'mediumblob' },
    takenInAt: { type: 'datetime', precision: 3, name: 'taken_in_at' },
  },
});
