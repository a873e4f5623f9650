import { knowWords } from '@nucleon/core/words/screens/know';
import { commonWords } from '@nucleon/core/words/screens/common';
import type { IdentifierKind } from '@nucleon/core/advice/identify/identify';
import { usualForm, usualMaterial } from '@nucleon/core/advice/presumePiece';
import type { MaterialClass } from '@nucleon/core/data/choices';
import { findMaterial, MATERIAL_IDS, MATERIALS } from '@nucleon/core/data/materials/materials';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Body, Small } from '../../ui/text';
import { TREATMENT_CHIPS } from '@nucleon/core/words/screens/choiceChips';
import type { StepProps } from './stepProps';

const KINDS: readonly { value: MaterialClass; label: string }[] = [
  { value: 'glass', label: knowWords.glass },
  { value: 'ceramic', label: knowWords.potCupOrTile },
  { value: 'stone', label: knowWords.stoneShellGem },
  { value: 'masonry', label: knowWords.wallOrFloor },
];

/** Glass, ceramic, stone or masonry. */
export function KindStep({ room, knowing }: StepProps) {
  const { piece } = room.edit;
  return (
    <>
      <Chips
        label={knowWords.kind}
        hideLabel
        chips={KINDS}
        value={knowing.materialClass}
        onChange={(kind) => {
          const same = kind === knowing.materialClass;
          const material = usualMaterial(kind);
          const answers = piece.knowing?.kind === kind ? piece.knowing.answers : {};
          knowing.settle('kind', kind, {
            knowing: { kind, answers },
            ...(same
              ? {}
              : {
                  material: material.id,
                  form: usualForm(material),
                  couldBe: [],
                  layers: [],
                  ...(kind === 'glass' ? { glassTreatment: 'unknown' as const } : {}),
                }),
          });
        }}
        testID="know-kind"
      />
      <Small>{knowWords.woodPlasticAndPlain}</Small>
    </>
  );
}

/** Those who know pick it; those who do not are helped. */
export function WhichStep({ room, knowing }: StepProps) {
  const { piece } = room.edit;
  const { customMaterials } = room.detail.job;
  const kind = (piece.knowing?.kind ?? knowing.materialClass) as IdentifierKind;
  const known = [...customMaterials, ...MATERIAL_IDS.map((id) => MATERIALS[id])].filter(
    (material) => material.class === kind,
  );
  const shown = findMaterial(piece.material, customMaterials);
  return (
    <>
      <Button
        label={knowWords.notSureHelpMe}
        look="main"
        onPress={() => {
          knowing.settle('which', 'help');
        }}
        testID="know-help"
      />
      <Body>{knowWords.orIfYouKnow}</Body>
      <Chips
        label={commonWords.material}
        hideLabel
        chips={known.map((material) => ({ value: material.id, label: material.name }))}
        value={piece.couldBe?.length ? undefined : shown?.id}
        onChange={(material) => {
          knowing.settle('which', 'known', { material, couldBe: [] });
        }}
        testID="know-material"
      />
      {kind === 'glass' ? <Small>{knowWords.howPaneWasTreated}</Small> : null}
    </>
  );
}

/** For those who know the glass: how it was treated, or the help after all. */
export function TreatmentStep({ room, knowing }: StepProps) {
  const { piece } = room.edit;
  return (
    <>
      <Body>{knowWords.temperedAndOtherwiseStrengthened}</Body>
      <Button
        label={knowWords.notSureHelpMe}
        look="main"
        onPress={() => {
          knowing.settle('which', 'help');
        }}
        testID="know-treatment-help"
      />
      <Chips
        label={knowWords.treatment}
        hideLabel
        chips={TREATMENT_CHIPS.filter((chip) => chip.value !== 'unknown')}
        value={piece.glassTreatment}
        onChange={(glassTreatment) => {
          knowing.settle('treatment', glassTreatment, { glassTreatment });
        }}
        testID="know-treatment"
      />
    </>
  );
}
