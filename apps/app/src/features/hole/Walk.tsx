import { holeWords } from '@nucleon/core/words/screens/hole';
import type { JudgedRule } from '@nucleon/core/layout/edgeRules';
import type { Material } from '@nucleon/core/data/materials/material';
import { findMaterial } from '@nucleon/core/data/materials/materials';
import { assumedLine } from '@nucleon/core/words/plan/figures';
import type { Plan } from '@nucleon/core/documents/plan';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import { useState } from 'react';
import { Fold } from '../../ui/Fold';
import { Panel } from '../../ui/layout';
import { Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import type { Workshop } from '../kit/useWorkshop';
import {
  HOLD_CHIPS,
  PACE_CHIPS,
  TREATMENT_CHIPS,
  wordFor,
} from '@nucleon/core/words/screens/choiceChips';
import type { Editing } from './editing';
import { HoleFold } from './HoleFold';
import { PieceFold } from './PieceFold';
import { SetupFold } from './SetupFold';
import { WaterHoldFold } from './WaterHoldFold';

interface WalkProps {
  readonly edit: Editing;
  readonly plan: Plan | null;
  readonly workshop: Workshop;
  readonly custom: readonly Material[];
  readonly edges: readonly JudgedRule[];
  /** The part that stands open at first. */
  readonly opensWith: WalkPart | null;
  /** Opens a room of its own beside the plan. */
  readonly onOpen: (
    room: 'know' | 'purpose' | 'place' | 'guide' | 'choose' | 'held' | 'water',
  ) => void;
}

type WalkPart = 'piece' | 'hole' | 'setup' | 'water';

/** Piece, hole, set up, water and hold: each folded to a line, one open at a time. */
export function Walk({ edit, plan, workshop, custom, edges, opensWith, onOpen }: WalkProps) {
  const [open, setOpen] = useState(opensWith);
  const units = useUnits();
  const { piece, hole } = edit;
  const material = findMaterial(piece.material, custom);
  const length = (mm: number): string => formatLengthShort(mm, units);
  const fold = (part: WalkPart, label: string, summary: string) => ({
    label,
    summary,
    open: open === part,
    onToggle: () => {
      setOpen(open === part ? null : part);
    },
    testID: `fold-${part}`,
  });
  const treatment =
    material?.class === 'glass'
      ? `, ${wordFor(TREATMENT_CHIPS, piece.glassTreatment ?? 'unknown').toLowerCase()}`
      : '';
  const assumed = plan && assumedLine(plan);
  const body = piece.layers?.length
    ? holeWords.layers(piece.layers.length)
    : `${material?.name ?? piece.material}${(piece.couldBe?.length ?? 0) > 1 ? holeWords.orAnother : ''}`;
  const deep =
    hole.depth.kind === 'through' ? 'through' : holeWords.deep(length(hole.depth.depthMm));
  return (
    <Panel borderLeftWidth={0} borderRightWidth={0} borderTopWidth={0} testID="walk">
      <Fold
        {...fold(
          'piece',
          holeWords.piece,
          `${piece.name}: ${body}, ${length(piece.thicknessMm)}${treatment}`,
        )}
      >
        <PieceFold
          edit={edit}
          custom={custom}
          onKnow={() => {
            onOpen('know');
          }}
        />
      </Fold>
      <Fold
        {...fold(
          'hole',
          holeWords.holeAndPlace,
          holeWords.at(length(hole.diameterMm), deep, length(hole.xMm), length(hole.yMm)),
        )}
      >
        <HoleFold
          edit={edit}
          edges={edges}
          onPurpose={() => {
            onOpen('purpose');
          }}
          onPlace={() => {
            onOpen('place');
          }}
          onGuide={() => {
            onOpen('guide');
          }}
        />
      </Fold>
      <Fold
        {...fold(
          'setup',
          holeWords.setUp,
          plan
            ? `${plan.setup.bitName}, ${plan.setup.machineName}, ${wordFor(PACE_CHIPS, plan.setup.pace).toLowerCase()}`
            : '…',
        )}
      >
        <SetupFold
          edit={edit}
          plan={plan}
          workshop={workshop}
          onChoose={() => {
            onOpen('choose');
          }}
        />
      </Fold>
      {plan ? (
        <Fold
          {...fold(
            'water',
            holeWords.waterAndHold,
            `${plan.water.name}, ${plan.setup.supportName.toLowerCase()}, ${wordFor(HOLD_CHIPS, plan.setup.hold).toLowerCase()}`,
          )}
        >
          <WaterHoldFold edit={edit} plan={plan} onOpen={onOpen} />
        </Fold>
      ) : null}
      {assumed ? (
        <Small padding="$4" paddingTop="$2">
          {assumed}
        </Small>
      ) : null}
    </Panel>
  );
}
