import type { DescribedBitsForPurpose } from '@nucleon/core/words/advice/bitsForPurposeInWords';
import { findMaterial } from '@nucleon/core/data/materials/materials';
import type { Purpose } from '@nucleon/core/layout/purposes/definePurpose';
import { fitInWords, type FitOutcome } from '@nucleon/core/words/purposes/fitInWords';
import { PURPOSES, sceneOf, type PurposeKind } from '@nucleon/core/layout/purposes/purposes';
import { useMemo, useState } from 'react';
import { useUnits } from '../display/displayStore';
import { caseOf } from '../hole/useLivePlan';
import { useTask } from '../../workers/useTask';
import type { HoleRoom } from '../hole/useHoleRoom';

type Given = Readonly<Record<string, unknown>>;

/** A part being described and the hole that follows from it. */
export interface PurposeDraft {
  readonly tool: Purpose;
  readonly given: Given;
  readonly change: (name: string, value: unknown) => void;
  readonly outcome: FitOutcome;
  /** Owned bits for it; null until the part is known. */
  readonly bits: DescribedBitsForPurpose | null;
  /** Whether they are of the part as it is entered now, or cannot be judged. */
  readonly isJudged: boolean;
  readonly pickedBit: string | null;
  readonly pickBit: (id: string | null) => void;
}

export function usePurpose(room: HoleRoom, kind: PurposeKind): PurposeDraft {
  const units = useUnits();
  const { detail, edit, workshop } = room;
  const { piece, hole } = edit;
  const stored = hole.purpose?.kind === kind ? hole.purpose : { kind };
  const [given, setGiven] = useState<Given>(() => {
    const { kind: _kind, ...fields } = stored;
    return fields;
  });
  const [picked, pickBit] = useState<string | null | undefined>(undefined);
  const tool = PURPOSES[kind];
  const material = findMaterial(piece.material, detail.job.customMaterials);
  const outcome = useMemo(
    () => fitInWords(tool, given, sceneOf(piece, material), units),
    [tool, given, piece, material, units],
  );
  const asked = useMemo(() => {
    if (outcome.kind !== 'fits') return null;
    const drillCase = caseOf(
      detail.job,
      { piece, hole: { ...hole, purpose: { ...given, kind } } },
      workshop,
    );
    return { drillCase, units, fit: outcome.fit };
  }, [outcome, given, kind, hole, piece, detail.job, workshop, units]);
  const judged = useTask('bitsForPurpose', asked);
  const cannot = judged.faults.length > 0;
  const bits = asked && !cannot && judged.outcome?.kind === 'judged' ? judged.outcome.bits : null;
  return {
    tool,
    given,
    change: (name, value) => {
      setGiven((last) => {
        const { [name]: _old, ...others } = last;
        return value === undefined ? others : { ...others, [name]: value };
      });
    },
    outcome,
    bits,
    isJudged: judged.of === asked || cannot,
    // The best one that does not spoil the edge, until the person chooses otherwise.
    pickedBit: picked === undefined ? bestBit(bits) : picked,
    pickBit,
  };
}

const bestBit = (bits: DescribedBitsForPurpose | null): string | null => {
  const first = bits?.fitting[0];
  return first && first.verdict !== 'not-covered' ? first.bit.id : null;
};
