import { HAZARD_WORDS } from '@nucleon/core/words/hazards/hazardWords';
import { HAZARDS } from '@nucleon/core/setup/hazards/judgeHazards';
import type { Gate } from '@nucleon/core/documents/gate';
import type { Piece } from '@nucleon/core/documents/piece';
import type { Setup } from '@nucleon/core/documents/setup';
import type { Machine } from '@nucleon/core/documents/kit';
import { MACHINE_KIND_IDS } from '@nucleon/core/data/machines/machineKinds';
import { MATERIAL_IDS, MATERIALS } from '@nucleon/core/data/materials/materials';
import { makePlan } from '@nucleon/core/words/plan/makePlan';

/** One row a hazard: the levels it was seen at over all scenes below, and the answers there. */
export function gateTable(): string[][] {
  const seen = new Map<string, Map<string, string>>();
  for (const gate of scenes().flatMap(gatesOf)) {
    const levels = seen.get(gate.code) ?? new Map<string, string>();
    const answers = gate.answers.map(({ code, asks }) => (asks ? `${code}*` : code)).join(', ');
    levels.set(`${gate.level}${answers ? `: ${answers}` : ''}`, '');
    seen.set(gate.code, levels);
  }
  return Object.values(HAZARDS).map(({ code, scope }) => [
    code,
    HAZARD_WORDS[code].title,
    `the ${scope}`,
    [...(seen.get(code)?.keys() ?? [])].join('; ') || '–',
  ]);
}

interface Scene {
  readonly piece: Partial<Piece>;
  readonly setup: Setup;
  readonly machine: Machine['kind'];
}

/** Pieces and setups enough for every hazard to arise at every level it has. */
function scenes(): Scene[] {
  const treatments = ['annealed', 'unknown', 'tempered', 'wired', 'laminated'] as const;
  const damages = ['none', 'edge-chip', 'crack'] as const;
  return MATERIAL_IDS.flatMap((material) =>
    (MATERIALS[material].class === 'masonry'
      ? (['wall', 'floor'] as const)
      : (['sheet', 'vessel', 'wall'] as const)
    ).flatMap((form): Scene[] => [
      ...treatments.map((glassTreatment): Scene => ({
        piece: { material, form, glassTreatment },
        setup: { water: { kind: 'still-bath' } },
        machine: 'bench-drill-press',
      })),
      ...damages.map((damage): Scene => ({
        piece: { material, form, damage, assembled: true },
        setup: { water: { kind: 'bottle' }, hold: 'guided' },
        machine: 'cordless-drill',
      })),
      ...MACHINE_KIND_IDS.map((machine): Scene => ({
        piece: { material, form },
        setup: { water: { kind: 'spindle' }, hold: 'guided' },
        machine,
      })),
      {
        piece: { material, form, yearMade: 1970 },
        setup: { water: { kind: 'none' }, hold: 'rig', standFixing: 'vacuum' },
        machine: 'stand-core-drill',
      },
    ]),
  );
}

function gatesOf({ piece, setup, machine }: Scene): readonly Gate[] {
  const outcome = makePlan({
    job: {},
    piece: {
      id: 'p',
      name: 'P',
      thicknessMm: 150,
      form: 'sheet',
      material: 'granite',
      outline: { kind: 'rectangle', widthMm: 2000, heightMm: 2400 },
      ...piece,
    },
    hole: {
      id: 'h',
      xMm: 1000,
      yMm: 1800,
      diameterMm: 162,
      depth: { kind: 'through' },
      setup: { ...setup, bit: 'b', machine: 'm', pace: 'gentle' },
    },
    kit: {
      bits: [{ id: 'b', name: 'B', family: 'segmented-core', diameterMm: 162 }],
      machines: [
        {
          id: 'm',
          name: 'M',
          kind: machine,
          ...(machine === 'rotary-hammer' ? { clutchTorqueNm: null } : {}),
        },
      ],
    },
    materials: [],
    habits: {},
  });
  return outcome.kind === 'planned' ? outcome.plan.gates : [];
}
