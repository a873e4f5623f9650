import { holeWords } from '@nucleon/core/words/screens/hole';
import type { JudgedRule } from '@nucleon/core/layout/edgeRules';
import type { Material } from '@nucleon/core/data/materials/material';
import { assumedLine } from '@nucleon/core/words/plan/figures';
import type { Plan } from '@nucleon/core/documents/plan';
import { useState } from 'react';
import { Fold } from '../../ui/Fold';
import { Panel } from '../../ui/layout';
import { Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import type { Workshop } from '../kit/useWorkshop';
import { walkLines, type WalkLines } from '@nucleon/core/words/plan/walkLines';
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

type WalkPart = keyof WalkLines;

/** Piece, hole, set up, water and hold: each folded to a line, one open at a time. */
export function Walk({ edit, plan, workshop, custom, edges, opensWith, onOpen }: WalkProps) {
  const [open, setOpen] = useState(opensWith);
  const units = useUnits();
  const { piece, hole } = edit;
  const lines = walkLines({ piece, hole, plan }, custom, units);
  const fold = (part: WalkPart, label: string) => ({
    label,
    summary: lines[part],
    open: open === part,
    onToggle: () => {
      setOpen(open === part ? null : part);
    },
    testID: `fold-${part}`,
  });
  const assumed = plan && assumedLine(plan);
  return (
    <Panel borderLeftWidth={0} borderRightWidth={0} borderTopWidth={0} testID="walk">
      <Fold {...fold('piece', holeWords.piece)}>
        <PieceFold
          edit={edit}
          custom={custom}
          onKnow={() => {
            onOpen('know');
          }}
        />
      </Fold>
      <Fold {...fold('hole', holeWords.holeAndPlace)}>
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
      <Fold {...fold('setup', holeWords.setUp)}>
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
        <Fold {...fold('water', holeWords.waterAndHold)}>
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
