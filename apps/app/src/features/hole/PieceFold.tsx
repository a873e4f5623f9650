import { holeWords } from '@nucleon/core/words/screens/hole';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import { usualSizes } from '@nucleon/core/advice/presumePiece';
import type { Material } from '@nucleon/core/data/materials/material';
import { findMaterial } from '@nucleon/core/data/materials/materials';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import { thicknessText } from '@nucleon/core/words/layout/thicknessText';
import Search from 'lucide-react-native/icons/search';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { LengthBox } from '../../ui/LengthBox';
import { Small } from '../../ui/text';
import { TextBox } from '../../ui/TextBox';
import { useUnits } from '../display/displayStore';
import { FORM_CHIPS, TREATMENT_CHIPS } from '@nucleon/core/words/screens/choiceChips';
import type { Editing } from './editing';
import { MaterialPicker } from './MaterialPicker';
import { OutlineFields } from './OutlineFields';

interface PieceFoldProps {
  readonly edit: Editing;
  readonly custom: readonly Material[];
  readonly onKnow: () => void;
}

/** Material, thickness, treatment, form and size of the piece. */
export function PieceFold({ edit, custom, onKnow }: PieceFoldProps) {
  const units = useUnits();
  const { piece, changePiece } = edit;
  const material = findMaterial(piece.material, custom);
  const layered = (piece.layers?.length ?? 0) > 0;
  return (
    <>
      <Button
        label={piece.knowing ? holeWords.goOnKnowingPiece : holeWords.identifyPieceHelpMe}
        icon={Search}
        onPress={onKnow}
        testID="know-piece"
      />
      {(piece.couldBe?.length ?? 0) > 1 ? (
        <Small>
          {holeWords.notSurePlannedFor}
          {piece.couldBe
            ?.map((one) => findMaterial(one.material, custom)?.name.toLowerCase() ?? one.material)
            .join(', ')}
          {holeWords.pickOneWhenYou}
        </Small>
      ) : null}
      {layered ? (
        <Small>
          {holeWords.builtUpFromOutside}
          {piece.layers
            ?.map(
              (layer) =>
                `${findMaterial(layer.material, custom)?.name ?? 'cavity'} ${formatLengthShort(layer.thicknessMm, units)}`,
            )
            .join(', ')}
          .
        </Small>
      ) : (
        <Body edit={edit} custom={custom} />
      )}
      {material?.class === 'glass' ? (
        <Chips
          label={holeWords.howGlassWasTreated}
          chips={TREATMENT_CHIPS}
          value={piece.glassTreatment ?? 'unknown'}
          onChange={(glassTreatment) => {
            changePiece({ glassTreatment }, 'treatment');
          }}
          testID="treatment"
        />
      ) : null}
      <Chips
        label={holeWords.form}
        chips={FORM_CHIPS}
        value={piece.form}
        onChange={(form) => {
          changePiece({ form }, 'form');
        }}
      />
      <OutlineFields
        outline={piece.outline}
        onChange={(outline, group) => {
          changePiece({ outline }, group);
        }}
      />
      <TextBox
        label={holeWords.nameOfPiece}
        value={piece.name}
        onChangeText={(name) => {
          changePiece({ name }, 'piece-name');
        }}
        fault={piece.name.trim() === '' ? holeWords.giveItName1 : undefined}
      />
    </>
  );
}

/** What it is of and how thick, where it is of one thing. */
function Body({ edit: { piece, changePiece }, custom }: Omit<PieceFoldProps, 'onKnow'>) {
  const units = useUnits();
  const sizes = usualSizes(piece.form, units).thicknessMm;
  return (
    <>
      <MaterialPicker
        value={piece.material}
        custom={custom}
        onPick={(picked) => {
          changePiece(
            {
              material: picked.id,
              couldBe: [],
              ...(picked.class === 'glass' && !piece.glassTreatment
                ? { glassTreatment: 'unknown' as const }
                : {}),
            },
            'material',
          );
        }}
      />
      <Chips
        label={holeWords.thickness}
        chips={sizes.map((mm) => ({ value: mm, label: formatLengthShort(mm, units) }))}
        value={piece.thicknessMm}
        onChange={(thicknessMm) => {
          changePiece({ thicknessMm, thicknessReadingsMm: [] }, 'thickness');
        }}
        testID="thickness-chips"
      />
      <LengthBox
        label={holeWords.thicknessMeasured}
        valueMm={piece.thicknessMm}
        maxMm={LIMITS.thicknessMm.max}
        onChangeMm={(thicknessMm) => {
          changePiece({ thicknessMm, thicknessReadingsMm: [] }, 'thickness');
        }}
        testID="thickness"
      />
      {(piece.thicknessReadingsMm?.length ?? 0) > 1 ? (
        <Small>{thicknessText(piece, units)}</Small>
      ) : null}
    </>
  );
}
