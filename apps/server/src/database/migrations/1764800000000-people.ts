import { StepMigration } from '../stepMigration';

const ENGINE = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';
/** Compared by their bytes: hashes, never what a person reads. */
const HASH = 'CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL';

/** Who works in a workshop, the devices they are signed in on, what lets others in, and what was done. */
export class People1764800000000 extends StepMigration {
  readonly name = 'People1764800000000';
  protected readonly steps = [
    `CREATE TABLE IF NOT EXISTS person (
      id VARCHAR(80) NOT NULL PRIMARY KEY,
      workshop_id VARCHAR(80) NOT NULL,
      name VARCHAR(80) NOT NULL,
      role VARCHAR(10) NOT NULL,
      password VARCHAR(200) NULL,
      joined_at DATETIME(3) NOT NULL,
      left_at DATETIME(3) NULL,
      INDEX person_name (workshop_id, name),
      CONSTRAINT person_workshop FOREIGN KEY (workshop_id) REFERENCES workshop (id)) ${ENGINE}`,
    `CREATE TABLE IF NOT EXISTS invitation (
      id VARCHAR(80) NOT NULL PRIMARY KEY,
      workshop_id VARCHAR(80) NOT NULL,
      token_hash ${HASH},
      role VARCHAR(10) NOT NULL,
      made_by VARCHAR(80) NOT NULL,
      until DATETIME(3) NOT NULL,
      ended_at DATETIME(3) NULL,
      UNIQUE INDEX invitation_token (token_hash),
      CONSTRAINT invitation_workshop FOREIGN KEY (workshop_id) REFERENCES workshop (id)) ${ENGINE}`,
    `CREATE TABLE IF NOT EXISTS share (
      id VARCHAR(80) NOT NULL PRIMARY KEY,
      workshop_id VARCHAR(80) NOT NULL,
      job_id VARCHAR(80) NOT NULL,
      token_hash ${HASH},
      made_by VARCHAR(80) NOT NULL,
      until DATETIME(3) NOT NULL,
      ended_at DATETIME(3) NULL,
      UNIQUE INDEX share_token (token_hash),
      CONSTRAINT share_workshop FOREIGN KEY (workshop_id) REFERENCES workshop (id),
      CONSTRAINT share_job FOREIGN KEY (job_id) REFERENCES job (id) ON DELETE CASCADE) ${ENGINE}`,
    `CREATE TABLE IF NOT EXISTS device (
      id VARCHAR(80) NOT NULL PRIMARY KEY,
      workshop_id VARCHAR(80) NOT NULL,
      person_id VARCHAR(80) NULL,
      share_id VARCHAR(80) NULL,
      token_hash ${HASH},
      name VARCHAR(80) NOT NULL,
      pin VARCHAR(200) NULL,
      since DATETIME(3) NOT NULL,
      seen_at DATETIME(3) NOT NULL,
      locked_at DATETIME(3) NULL,
      ended_at DATETIME(3) NULL,
      UNIQUE INDEX device_token (token_hash),
      CONSTRAINT device_workshop FOREIGN KEY (workshop_id) REFERENCES workshop (id),
      CONSTRAINT device_person FOREIGN KEY (person_id) REFERENCES person (id),
      CONSTRAINT device_share FOREIGN KEY (share_id) REFERENCES share (id) ON DELETE CASCADE) ${ENGINE}`,
    `CREATE TABLE IF NOT EXISTS audit (
      seq BIGINT NOT NULL AUTO_INCREMENT PRIMARY KEY,
      workshop_id VARCHAR(80) NOT NULL,
      at DATETIME(3) NOT NULL,
      person_id VARCHAR(80) NULL,
      person_name VARCHAR(80) NOT NULL,
      address VARCHAR(45) NOT NULL,
      act VARCHAR(30) NOT NULL,
      subject VARCHAR(200) NOT NULL,
      INDEX audit_of (workshop_id, seq),
      CONSTRAINT audit_workshop FOREIGN KEY (workshop_id) REFERENCES workshop (id)) ${ENGINE}`,
  ];
  protected readonly back = ['audit', 'device', 'share', 'invitation', 'person'].map(
    (table) => `DROP TABLE IF EXISTS ${table}`,
  );
}
