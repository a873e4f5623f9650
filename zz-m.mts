import { contextOf } from './packages/core/src/plan/makePlan.ts';
import { oddsSurface, oddsMap } from './packages/core/src/plan/oddsMap.ts';
import { rememberingBend } from './packages/core/src/plate/bender.ts';
import { jobWith } from './packages/core/src/plan/jobFixtures.ts';
import { METRIC } from './packages/core/src/units/unitSystem.ts';
const bend=rememberingBend();
const c=contextOf(jobWith({setup:{support:{kind:'softwood'}}}),'hole',METRIC,bend) as any;
const s=oddsSurface(c.context,bend) as any; const t=performance.now(); oddsMap(s.surface,14); console.log((performance.now()-t).toFixed(0));
