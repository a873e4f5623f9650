import type { EvidenceRow } from './evidenceRow';
import { MASONRY } from './masonry';
import { PANES } from './panes';
import { STONE_AND_POTS } from './stoneAndPots';

/** The bench of facts: what happens in everyday jobs, to set the model against. */
export const EVIDENCE: readonly EvidenceRow[] = [...PANES, ...STONE_AND_POTS, ...MASONRY];
