import {
  aroundS,
  CHISEL_S,
  coreBreakS,
  EASE_EDGE_S,
  lastCoreS,
  TURN_S,
} from '../physics/cutting/pauses';
import type { ResolvedOperation } from '../setup/operations/operation';
import type { CoreOut } from './planCores';
import type { CutPlan, HoleTask } from './planCut';
import type { OperationTime } from './planTime';

/** What work of hands takes: between cuts it halts the drilling, else it stands around it. */
export function handTime(
  operation: ResolvedOperation,
  cores: ReadonlyMap<ResolvedOperation, CoreOut>,
  listed: readonly ResolvedOperation[],
  main: CutPlan,
  { hole }: HoleTask,
): OperationTime {
  const none = { pauses: {}, around: {} };
  const { solid, diameterMm } = main.setup.finishing.geometry;
  const blind = hole.depth.kind !== 'through';
  const cutsAfter = listed.slice(listed.indexOf(operation)).some(({ kind }) => kind === 'cut');
  switch (operation.does) {
    case 'mark': {
      const { hold, wanted, coolant } = main.setup;
      return { ...none, around: { setUp: aroundS(hold, wanted.standFixing, coolant.id).setUp } };
    }
    case 'break-out': {
      const core = cores.get(operation);
      const D = core?.diameterMm ?? diameterMm;
      return cutsAfter
        ? { ...none, pauses: { coreBreaks: core ? coreBreakS(core, D) : 0 } }
        : { ...none, around: { lastCore: lastCoreS(solid, true, D) } };
    }
    case 'chisel':
      return cutsAfter
        ? { ...none, pauses: { chiselling: CHISEL_S } }
        : { ...none, around: { takeDown: CHISEL_S } };
    case 'turn-over':
    case 'go-round':
      return { ...none, pauses: { turnOver: TURN_S[operation.does] } };
    case 'ease-edge':
      return { ...none, around: { takeDown: EASE_EDGE_S } };
    case 'clean': {
      const { hold, wanted, coolant } = main.setup;
      const { takeDown } = aroundS(hold, wanted.standFixing, coolant.id);
      return {
        ...none,
        around: { takeDown, lastCore: blind ? 0 : lastCoreS(solid, false, diameterMm) },
      };
    }
    default:
      return none;
  }
}
