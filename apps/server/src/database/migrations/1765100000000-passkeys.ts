import { StepMigration } from '../stepMigration';

const ENGINE = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';
const HASH = 'CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL';

/** Keys that people’s devices hold, and what they were asked to sign last. */
export class Passkeys1765100000000 extends StepMigration {
  readonly name = 'Passkeys1765100000000';
  protected readonly steps = [
    `CREATE TABLE IF NOT EXISTS passkey (
      id VARCHAR(80) NOT NULL PRIMARY KEY,
      workshop_id VARCHAR(80) NOT NULL,
      person_id VARCHAR(80) NOT NULL,
      credential_hash ${HASH},
      credential_id VARCHAR(1400) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      public_key VARBINARY(2048) NOT NULL,
      counter BIGINT UNSIGNED NOT NULL,
      transports VARCHAR(200) NOT NULL,
      site VARCHAR(255) NOT NULL,
      name VARCHAR(80) NOT NULL,
      since DATETIME(3) NOT NULL,
      used_at DATETIME(3) NULL,
      UNIQUE INDEX passkey_credential (credential_hash),
      CONSTRAINT passkey_workshop FOREIGN KEY (workshop_id) REFERENCES workshop (id),
      CONSTRAINT passkey_person FOREIGN KEY (person_id) REFERENCES person (id)) ${ENGINE}`,
    `CREATE TABLE IF NOT EXISTS challenge (
      hash ${HASH} PRIMARY KEY,
      person_id VARCHAR(80) NULL,
      until DATETIME(3) NOT NULL,
      INDEX challenge_until (until)) ${ENGINE}`,
  ];
  protected readonly back = ['challenge', 'passkey'].map(
    (table) => `DROP TABLE IF EXISTS ${table}`,
  );
}
