import { StepMigration } from '../stepMigration';

/** The Monte Carlo of a hole, kept with the plan it belongs to. */
export class Risk1764500000000 extends StepMigration {
  readonly name = 'Risk1764500000000';
  protected readonly steps = ['ALTER TABLE hole_plan ADD COLUMN IF NOT EXISTS risk JSON NULL'];
  protected readonly back = ['ALTER TABLE hole_plan DROP COLUMN IF EXISTS risk'];
}
