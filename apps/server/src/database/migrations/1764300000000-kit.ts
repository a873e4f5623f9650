import type { MigrationInterface, QueryRunner } from 'typeorm';
import { THE_WORKSHOP_ID } from '../workshop';

const ENGINE = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';

/** A bit's make, state and history; a machine's holders and room; everything else owned; habits. */
const UP = [
  `ALTER TABLE bit ADD COLUMN supplier VARCHAR(120) NULL, ADD COLUMN batch VARCHAR(120) NULL,
     ADD COLUMN state VARCHAR(20) NULL, ADD COLUMN slotted TINYINT NULL,
     ADD COLUMN barrel_diameter_mm DOUBLE NULL, ADD COLUMN shank JSON NULL,
     ADD COLUMN sharpness_log JSON NULL, ADD COLUMN retired TINYINT NULL`,
  `ALTER TABLE machine ADD COLUMN room JSON NULL, ADD COLUMN holders JSON NULL,
     ADD COLUMN water_rated TINYINT NULL, ADD COLUMN spindle_water TINYINT NULL,
     ADD COLUMN retired TINYINT NULL`,
  `CREATE TABLE kit_part (
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
  'ALTER TABLE house ADD COLUMN habits JSON NULL, ADD COLUMN hour_money DOUBLE NULL',
];
const DOWN = [
  'ALTER TABLE house DROP COLUMN habits, DROP COLUMN hour_money',
  'DROP TABLE kit_part',
  `ALTER TABLE machine DROP COLUMN room, DROP COLUMN holders, DROP COLUMN water_rated,
     DROP COLUMN spindle_water, DROP COLUMN retired`,
  `ALTER TABLE bit DROP COLUMN supplier, DROP COLUMN batch, DROP COLUMN state, DROP COLUMN slotted,
     DROP COLUMN barrel_diameter_mm, DROP COLUMN shank, DROP COLUMN sharpness_log,
     DROP COLUMN retired`,
];

export class Kit1764300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of UP) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of DOWN) await runner.query(statement);
  }
}
