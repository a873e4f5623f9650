import { checkJob } from './checkJob';
import type { DrillCase } from './drillCase';
import type { JobFault } from './jobFault';

/** What a schema cannot see in a case; pointers lead into a job of just this piece and hole. */
export const checkCase = ({ piece, hole, kit, materials }: DrillCase): JobFault[] =>
  checkJob({ pieces: [{ ...piece, holes: [hole] }], kit, customMaterials: materials });
