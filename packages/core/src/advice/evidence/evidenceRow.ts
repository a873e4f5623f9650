import type { DrillCase } from '../../setup/drillCase';
import type { Bit, Machine } from '../../documents/kit';
import type { Hole } from '../../documents/hole';
import type { Piece } from '../../documents/piece';
import type { Setup } from '../../documents/setup';
import type { Figure, PeoplesFigure } from './figures';

/** Where a band comes from when no standard or textbook has it. */
export const GENERAL = 'general practice';

interface Fact {
  readonly id: string;
  /** The job, in the words of the trade. */
  readonly job: string;
  /** Where the figure falls for people who do this often, in the figure's unit. */
  readonly band: readonly [number, number];
  readonly source: string;
  /** Why the model does not land in the band; none where it has to. */
  readonly misses?: string;
}

/** What happens at the bench in one job, to set the model against. */
export type EvidenceRow =
  | (Fact & { readonly figure: Figure; readonly drillCase: DrillCase })
  | (Fact & { readonly figure: PeoplesFigure });

export interface SetUp {
  readonly piece: Pick<Piece, 'form' | 'material' | 'thicknessMm' | 'outline'> & Partial<Piece>;
  readonly hole?: Partial<Hole>;
  readonly bit: Omit<Bit, 'id' | 'name'>;
  /** Smaller bits that go first, in order. */
  readonly before?: readonly Omit<Bit, 'id' | 'name'>[];
  readonly machine: Machine['kind'];
  readonly setup: Omit<Setup, 'bit' | 'bits' | 'machine'>;
}

/** One hole with just the tools that are named for it, in the middle of its piece unless it says otherwise. */
export function setUp({ piece, hole, bit, before = [], machine, setup }: SetUp): DrillCase {
  const { outline } = piece;
  const middle =
    outline.kind === 'rectangle'
      ? { xMm: outline.widthMm / 2, yMm: outline.heightMm / 2 }
      : outline.kind === 'circle'
        ? { xMm: outline.diameterMm / 2, yMm: outline.diameterMm / 2 }
        : outline.kind === 'cylinder'
          ? { xMm: (outline.outerDiameterMm * Math.PI) / 2, yMm: outline.heightMm / 2 }
          : { xMm: 0, yMm: 0 };
  return {
    job: {},
    piece: { id: 'piece', name: 'Piece', ...piece },
    hole: {
      id: 'hole',
      ...middle,
      diameterMm: bit.diameterMm,
      depth: { kind: 'through' },
      ...(piece.form === 'vessel' ? { face: 'side' as const } : {}),
      ...hole,
      setup: {
        ...(before.length > 0
          ? { bits: [...before.map((_, step) => `step-${step + 1}`), 'bit'] }
          : { bit: 'bit' }),
        machine: 'machine',
        ...setup,
      },
    },
    kit: {
      bits: [
        ...before.map((own, step) => ({ id: `step-${step + 1}`, name: 'Smaller bit', ...own })),
        { id: 'bit', name: 'Bit', ...bit },
      ],
      machines: [{ id: 'machine', name: 'Machine', kind: machine }],
    },
    materials: [],
    habits: {},
  };
}
