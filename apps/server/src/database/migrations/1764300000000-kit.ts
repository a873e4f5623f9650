import { StepMigration } from '../stepMigration';
import { THE_WORKSHOP_ID } from '../workshop';

const ENGINE = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';

/** A bit's make, state and history; a machine's holders and room; everything else owned; habits. */
const UP = [
  `ALTER TABLE bit ADD COLUMN IF NOT EXISTS supplier VARCHAR(120) NULL, ADD COLUMN IF NOT EXISTS batch VARCHAR(120) NULL,
     ADD COLUMN IF NOT EXISTS state VARCHAR(20) NULL, ADD COLUMN IF NOT EXISTS slotted TINYINT NULL,
     ADD COLUMN IF NOT EXISTS barrel_diameter_mm DOUBLE NULL, ADD COLUMN IF NOT EXISTS shank JSON NULL,
     ADD COLUMN IF NOT EXISTS sharpness_log JSON NULL, ADD COLUMN IF NOT EXISTS retired TINYINT NULL`,
  `ALTER TABLE machine ADD COLUMN IF NOT EXISTS room JSON NULL, ADD COLUMN IF NOT EXISTS holders JSON NULL,
     ADD COLUMN IF NOT EXISTS water_rated TINYINT NULL, ADD COLUMN IF NOT EXISTS spindle_water TINYINT NULL,
     ADD COLUMN IF NOT EXISTS retired TINYINT NULL`,
  `CREATE TABLE IF NOT EXISTS kit_part (
    id VARCHAR(80) NOT NULL PRIMARY KEY,
    file_id VARCHAR(80) NULL,
    version INT NOT NULL,
    extra JSON NOT NULL,
    updated_at DATETIME(3) NOT NULL,
    deleted_at DATETIME(3) NULL,
    workshop_id VARCHAR(80) NOT NULL DEFAULT '${THE_WORKSHOP_ID}',
    sort VARCHAR(20) NOT NULL,
    name VARCHAR(120) NOT NULL,
    content JSON NOT NULL,
    INDEX kit_part_sort (sort, name),
    CONSTRAINT kit_part_workshop FOREIGN KEY (workshop_id) REFERENCES workshop (id)) ${ENGINE}`,
  'ALTER TABLE house ADD COLUMN IF NOT EXISTS habits JSON NULL, ADD COLUMN IF NOT EXISTS hour_money DOUBLE NULL',
];
const DOWN = [
  'ALTER TABLE house DROP COLUMN IF EXISTS habits, DROP COLUMN IF EXISTS hour_money',
  'DROP TABLE IF EXISTS kit_part',
  `ALTER TABLE machine DROP COLUMN IF EXISTS room, DROP COLUMN IF EXISTS holders, DROP COLUMN IF EXISTS water_rated,
     DROP COLUMN IF EXISTS spindle_water, DROP COLUMN IF EXISTS retired`,
  `ALTER TABLE bit DROP COLUMN IF EXISTS supplier, DROP COLUMN IF EXISTS batch, DROP COLUMN IF EXISTS state, DROP COLUMN IF EXISTS slotted,
     DROP COLUMN IF EXISTS barrel_diameter_mm, DROP COLUMN IF EXISTS shank, DROP COLUMN IF EXISTS sharpness_log,
     DROP COLUMN IF EXISTS retired`,
];

export class Kit1764300000000 extends StepMigration {
  readonly name = 'Kit1764300000000';
  protected readonly steps = UP;
  protected readonly back = DOWN;
}
