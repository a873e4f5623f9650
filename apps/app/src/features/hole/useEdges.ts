import type { HoleDetail } from '@nucleon/contract/wire';
import { faceMaterial } from '@nucleon/core/layout/faceMaterial';
import { judgeEdges, type JudgedRule } from '@nucleon/core/layout/edgeRules';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { houseQuery } from '../../api/house';
import { jobQuery } from '../../api/jobs';
import type { Editing } from './editing';

/** The edge rules for the hole as it stands, beside the piece's other holes as they are stored. */
export function useEdges(detail: HoleDetail, { piece, hole }: Editing): readonly JudgedRule[] {
  const job = useQuery(jobQuery(detail.job.id));
  const { data: house } = useQuery(houseQuery);
  const { customMaterials } = detail.job;
  return useMemo(() => {
    const others = job.data?.pieces.find((one) => one.id === piece.id)?.holes ?? [];
    const material = faceMaterial(piece, customMaterials);
    return judgeEdges({ piece, material, hole, house }, others);
  }, [job.data, customMaterials, piece, hole, house]);
}
