import { rankSetups } from '@nucleon/core/advice/choice/rankSetups';
import { rankingInWords } from '@nucleon/core/words/advice/rankingInWords';
import { rememberingBend } from '@nucleon/core/physics/plate/bender';
import { MODEL_VERSION } from '@nucleon/core/documents/plan';
import type { UnitSystem } from '@nucleon/core/data/unitSystem';
import type { DrillCase } from '@nucleon/core/setup/drillCase';
import type { Console } from './console';
import { faultLine } from './faultLine';
import { NUCLEON_VERSION } from './version';

/** Prints what is owned that makes the hole, best first, and what cannot and why. */
export function chooseHole(drillCase: DrillCase, console: Console, units: UnitSystem): number {
  const outcome = rankingInWords(rankSetups(drillCase, rememberingBend()), units);
  if (outcome.kind === 'faulty') {
    outcome.faults.forEach((fault) => {
      console.err(faultLine(fault));
    });
    return 1;
  }
  const { ranked, impossible, otherSizes, toGet } = outcome.ranking;
  const named = ({ id, name }: { id: string; name: string }) => ({ id, name });
  console.out(
    JSON.stringify(
      {
        nucleon: NUCLEON_VERSION,
        model: MODEL_VERSION,
        holeId: drillCase.hole.id,
        ranked: ranked.map(({ bit, machine, water, couplings, setup, outcome: found, why }) => ({
          bit: named(bit),
          machine: named(machine),
          water,
          couplings: couplings?.map(named) ?? null,
          setup,
          drillTimeS: found.timeS,
          crackProbability: found.crackProbability,
          exitChipMm: found.chipMm,
          chipOverOdds: found.chipOverOdds,
          feedForceN: found.feedForceN,
          rpm: found.rpm,
          effort: found.effort.level,
          handForceN: found.effort.handForceN,
          cost: found.cost,
          why,
        })),
        impossible: impossible.map(({ bit, machine, obstacles }) => ({
          bit: named(bit),
          machine: named(machine),
          obstacles,
        })),
        otherSizes: otherSizes.map(({ bit, text }) => ({ bit: named(bit), text })),
        toGet,
      },
      null,
      2,
    ),
  );
  return 0;
}
