import type { PieceLayout, StoredHole, StoredHouse } from '@nucleon/contract/wire';
import { checkJob } from '@nucleon/core/setup/checkJob';
import { faultsInWords } from '@nucleon/core/words/faults';
import { faceMaterial } from '@nucleon/core/layout/faceMaterial';
import type { Fault } from '@nucleon/core/documents/fault';
import type { Material } from '@nucleon/core/data/materials/material';
import { brokenRule, judgeEdges, type JudgedRule } from '@nucleon/core/layout/edgeRules';
import { clashes } from '@nucleon/core/layout/services';
import { sizeFor, sceneOf } from '@nucleon/core/layout/purposes/purposes';
import { useMemo } from 'react';
import type { LayoutContent } from './layoutDraft';

export interface Placement {
  readonly faults: readonly Fault[];
  /** Holes that break a rule that counts, or clash with a band. */
  readonly broken: ReadonlySet<string>;
  /** Rules for one hole where it stands, or would stand. */
  readonly judge: (hole: StoredHole, others?: readonly StoredHole[]) => readonly JudgedRule[];
  /** From its middle to where a cover or flange ends, mm; 0 without one. */
  readonly coverRadius: (hole: StoredHole) => number;
  /** What the bit meets first; null while the material is not known. */
  readonly material: Material | null;
}

const materialOf = (
  { piece }: LayoutContent,
  custom: PieceLayout['job']['customMaterials'],
): Material | null => {
  try {
    return faceMaterial(piece, custom);
  } catch {
    return null;
  }
};

/** How the holes of a layout stand to its edges, to each other and to what was drawn. */
export function usePlacement(
  content: LayoutContent,
  job: PieceLayout['job'],
  house: StoredHouse | undefined,
): Placement {
  const { customMaterials: custom } = job;
  return useMemo(() => {
    const { piece, holes } = content;
    const material = materialOf(content, custom);
    const judge: Placement['judge'] = (hole, others = holes) =>
      material ? judgeEdges({ piece, material, hole, house }, others) : [];
    const broken = holes.filter(
      (hole) => brokenRule(judge(hole)) !== undefined || clashes(piece, hole),
    );
    const scene = sceneOf(piece, material ?? undefined);
    const coverRadius = ({ purpose, diameterMm }: StoredHole): number => {
      const fit = purpose ? sizeFor(purpose, scene) : null;
      const cover = fit?.kind === 'sized' ? (fit.numbers.coverMm ?? 0) : 0;
      return cover > 0 ? diameterMm / 2 + cover : 0;
    };
    const faults = faultsInWords(
      checkJob({
        // Bits and machines are the kit's matter, not the layout's.
        pieces: [{ ...piece, holes: holes.map(({ setup: _setup, ...hole }) => hole) }],
        customMaterials: custom,
      }),
    );
    return {
      faults,
      broken: new Set(broken.map(({ id }) => id)),
      judge,
      coverRadius,
      material,
    };
  }, [content, custom, house]);
}
