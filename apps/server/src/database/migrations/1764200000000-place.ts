import { StepMigration } from '../stepMigration';
import { THE_WORKSHOP_ID } from '../workshop';

const ENGINE = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';

/** What is drawn on a piece beside its holes, how holes are marked, photographs, and house habits. */
const UP = [
  `ALTER TABLE piece ADD COLUMN IF NOT EXISTS keep_off JSON NULL, ADD COLUMN IF NOT EXISTS services JSON NULL,
     ADD COLUMN IF NOT EXISTS datum JSON NULL, ADD COLUMN IF NOT EXISTS photo JSON NULL`,
  'ALTER TABLE hole ADD COLUMN IF NOT EXISTS mark JSON NULL',
  `CREATE TABLE IF NOT EXISTS piece_photo (
    id VARCHAR(80) NOT NULL PRIMARY KEY,
    piece_id VARCHAR(80) NOT NULL,
    mime VARCHAR(40) NOT NULL,
    bytes MEDIUMBLOB NOT NULL,
    taken_in_at DATETIME(3) NOT NULL,
    INDEX photo_piece (piece_id, taken_in_at),
    CONSTRAINT photo_piece FOREIGN KEY (piece_id) REFERENCES piece (id)) ${ENGINE}`,
  `CREATE TABLE IF NOT EXISTS house (
    id VARCHAR(80) NOT NULL PRIMARY KEY,
    file_id VARCHAR(80) NULL,
    version INT NOT NULL,
    extra JSON NOT NULL,
    updated_at DATETIME(3) NOT NULL,
    deleted_at DATETIME(3) NULL,
    workshop_id VARCHAR(80) NOT NULL DEFAULT '${THE_WORKSHOP_ID}',
    edge JSON NULL,
    school VARCHAR(60) NULL,
    CONSTRAINT house_workshop FOREIGN KEY (workshop_id) REFERENCES workshop (id)) ${ENGINE}`,
];
const DOWN = [
  'DROP TABLE IF EXISTS house',
  'DROP TABLE IF EXISTS piece_photo',
  'ALTER TABLE hole DROP COLUMN IF EXISTS mark',
  'ALTER TABLE piece DROP COLUMN IF EXISTS keep_off, DROP COLUMN IF EXISTS services, DROP COLUMN IF EXISTS datum, DROP COLUMN IF EXISTS photo',
];

export class Place1764200000000 extends StepMigration {
  readonly name = 'Place1764200000000';
  protected readonly steps = UP;
  protected readonly back = DOWN;
}
