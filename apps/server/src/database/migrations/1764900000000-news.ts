import { StepMigration } from '../stepMigration';

/** What changed last is found without reading the rest: it is looked for each second while somebody listens. */
export class News1764900000000 extends StepMigration {
  readonly name = 'News1764900000000';
  protected readonly steps = [
    'CREATE INDEX IF NOT EXISTS job_changed ON job (workshop_id, updated_at)',
    'CREATE INDEX IF NOT EXISTS run_changed ON run (workshop_id, updated_at)',
  ];
  protected readonly back = [
    'DROP INDEX IF EXISTS job_changed ON job',
    'DROP INDEX IF EXISTS run_changed ON run',
  ];
}
