import type { MigrationInterface, QueryRunner } from 'typeorm';
import { THE_WORKSHOP_ID } from '../workshop';

const VERSIONED = `
  id VARCHAR(80) NOT NULL PRIMARY KEY,
  file_id VARCHAR(80) NULL,
  version INT NOT NULL,
  extra JSON NOT NULL,
  updated_at DATETIME(3) NOT NULL,
  deleted_at DATETIME(3) NULL`;
const ENGINE = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';

const TABLES = [
  `CREATE TABLE workshop (id VARCHAR(80) NOT NULL PRIMARY KEY, name VARCHAR(120) NOT NULL) ${ENGINE}`,
  `CREATE TABLE job (${VERSIONED},
    workshop_id VARCHAR(80) NOT NULL,
    name VARCHAR(120) NOT NULL,
    notes VARCHAR(10000) NULL,
    checks JSON NULL,
    custom_materials JSON NULL,
    file_extra JSON NOT NULL,
    INDEX job_list (workshop_id, deleted_at, updated_at),
    CONSTRAINT job_workshop FOREIGN KEY (workshop_id) REFERENCES workshop (id)) ${ENGINE}`,
  `CREATE TABLE piece (${VERSIONED},
    job_id VARCHAR(80) NOT NULL,
    position INT NOT NULL,
    name VARCHAR(120) NOT NULL,
    form VARCHAR(20) NOT NULL,
    material VARCHAR(80) NOT NULL,
    thickness_mm DOUBLE NOT NULL,
    outline JSON NOT NULL,
    glass_treatment VARCHAR(40) NULL,
    assembled TINYINT NULL,
    value_money DOUBLE NULL,
    layers JSON NULL,
    checks JSON NULL,
    INDEX piece_job (job_id, position),
    CONSTRAINT piece_job FOREIGN KEY (job_id) REFERENCES job (id)) ${ENGINE}`,
  `CREATE TABLE hole (${VERSIONED},
    piece_id VARCHAR(80) NOT NULL,
    position INT NOT NULL,
    label VARCHAR(120) NULL,
    x_mm DOUBLE NOT NULL,
    y_mm DOUBLE NOT NULL,
    face VARCHAR(10) NULL,
    diameter_mm DOUBLE NOT NULL,
    depth JSON NOT NULL,
    fall JSON NULL,
    purpose JSON NULL,
    checks JSON NULL,
    setup JSON NULL,
    INDEX hole_piece (piece_id, deleted_at, position),
    CONSTRAINT hole_piece FOREIGN KEY (piece_id) REFERENCES piece (id)) ${ENGINE}`,
  `CREATE TABLE hole_plan (
    hole_id VARCHAR(80) NOT NULL PRIMARY KEY,
    plan JSON NOT NULL,
    headline JSON NOT NULL,
    stop_count INT NOT NULL,
    model_version VARCHAR(20) NOT NULL,
    data_version VARCHAR(20) NOT NULL,
    computed_at DATETIME(3) NOT NULL,
    INDEX hole_plan_stops (stop_count, hole_id),
    CONSTRAINT hole_plan_hole FOREIGN KEY (hole_id) REFERENCES hole (id) ON DELETE CASCADE) ${ENGINE}`,
  `CREATE TABLE bit (${VERSIONED},
    workshop_id VARCHAR(80) NOT NULL,
    name VARCHAR(120) NOT NULL,
    family VARCHAR(40) NOT NULL,
    diameter_mm DOUBLE NOT NULL,
    rim_width_mm DOUBLE NULL,
    coverage DOUBLE NULL,
    usable_depth_mm DOUBLE NULL,
    sharpness DOUBLE NULL,
    run_out_mm DOUBLE NULL,
    depth_cut_mm DOUBLE NULL,
    holes_cut DOUBLE NULL,
    price DOUBLE NULL,
    max_rpm DOUBLE NULL,
    INDEX bit_list (workshop_id, deleted_at, diameter_mm),
    CONSTRAINT bit_workshop FOREIGN KEY (workshop_id) REFERENCES workshop (id)) ${ENGINE}`,
  `CREATE TABLE machine (${VERSIONED},
    workshop_id VARCHAR(80) NOT NULL,
    name VARCHAR(120) NOT NULL,
    kind VARCHAR(40) NOT NULL,
    speeds JSON NULL,
    stall_torque_nm DOUBLE NULL,
    clutch JSON NULL,
    power VARCHAR(20) NULL,
    INDEX machine_list (workshop_id, deleted_at, name),
    CONSTRAINT machine_workshop FOREIGN KEY (workshop_id) REFERENCES workshop (id)) ${ENGINE}`,
];

export class Start1764000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const table of TABLES) await runner.query(table);
    await runner.query('INSERT INTO workshop (id, name) VALUES (?, ?)', [
      THE_WORKSHOP_ID,
      'Workshop',
    ]);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['machine', 'bit', 'hole_plan', 'hole', 'piece', 'job', 'workshop']) {
      await runner.query(`DROP TABLE ${table}`);
    }
  }
}
