import { StepMigration } from '../stepMigration';
import { THE_WORKSHOP_ID } from '../workshop';

const ENGINE = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';

/** Runs, everything that happened in them, and their pictures. */
const UP = [
  `CREATE TABLE IF NOT EXISTS run (
    id VARCHAR(80) NOT NULL PRIMARY KEY,
    workshop_id VARCHAR(80) NOT NULL DEFAULT '${THE_WORKSHOP_ID}',
    hole_id VARCHAR(80) NULL,
    record JSON NULL,
    job_id VARCHAR(80) NULL,
    piece_id VARCHAR(80) NULL,
    bit_id VARCHAR(80) NULL,
    material VARCHAR(80) NULL,
    outcome VARCHAR(20) NULL,
    words VARCHAR(1000) NOT NULL DEFAULT '',
    opened_at DATETIME(3) NULL,
    counted JSON NULL,
    updated_at DATETIME(3) NOT NULL,
    INDEX run_opened (opened_at),
    INDEX run_hole (hole_id, opened_at),
    INDEX run_job (job_id, opened_at),
    INDEX run_piece (piece_id, opened_at),
    INDEX run_bit (bit_id, opened_at),
    INDEX run_material (material, opened_at),
    INDEX run_outcome (outcome, opened_at),
    CONSTRAINT run_workshop FOREIGN KEY (workshop_id) REFERENCES workshop (id),
    CONSTRAINT run_of_hole FOREIGN KEY (hole_id) REFERENCES hole (id) ON DELETE SET NULL) ${ENGINE}`,
  `CREATE TABLE IF NOT EXISTS run_event (
    seq BIGINT NOT NULL AUTO_INCREMENT PRIMARY KEY,
    id VARCHAR(80) NOT NULL,
    run_id VARCHAR(80) NOT NULL,
    n INT NOT NULL,
    kind VARCHAR(20) NOT NULL,
    body JSON NOT NULL,
    received_at DATETIME(3) NOT NULL,
    UNIQUE INDEX run_event_id (id),
    INDEX run_event_of (run_id, seq),
    CONSTRAINT run_event_run FOREIGN KEY (run_id) REFERENCES run (id)) ${ENGINE}`,
  `CREATE TABLE IF NOT EXISTS run_photo (
    id VARCHAR(80) NOT NULL PRIMARY KEY,
    run_id VARCHAR(80) NOT NULL,
    mime VARCHAR(40) NOT NULL,
    width_px INT NOT NULL,
    height_px INT NOT NULL,
    bytes MEDIUMBLOB NOT NULL,
    taken_in_at DATETIME(3) NOT NULL,
    INDEX run_photo_of (run_id, taken_in_at),
    CONSTRAINT run_photo_run FOREIGN KEY (run_id) REFERENCES run (id)) ${ENGINE}`,
];
const DOWN = [
  'DROP TABLE IF EXISTS run_photo',
  'DROP TABLE IF EXISTS run_event',
  'DROP TABLE IF EXISTS run',
];

export class Runs1764400000000 extends StepMigration {
  readonly name = 'Runs1764400000000';
  protected readonly steps = UP;
  protected readonly back = DOWN;
}
