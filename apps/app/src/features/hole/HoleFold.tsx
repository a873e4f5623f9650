import { holeWords } from '@nucleon/core/words/screens/hole';
import { commonWords } from '@nucleon/core/words/screens/common';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import type { HoleDepth } from '@nucleon/core/documents/hole';
import type { JudgedRule } from '@nucleon/core/layout/edgeRules';
import { usualSizes } from '@nucleon/core/advice/presumePiece';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import { isPurposeKind, PURPOSES } from '@nucleon/core/layout/purposes/purposes';
import Crosshair from 'lucide-react-native/icons/crosshair';
import DraftingCompass from 'lucide-react-native/icons/drafting-compass';
import Ruler from 'lucide-react-native/icons/ruler';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Small } from '../../ui/text';
import { TextBox } from '../../ui/TextBox';
import { useUnits } from '../display/displayStore';
import { DEPTH_CHIPS, FACE_CHIPS } from '@nucleon/core/words/screens/choiceChips';
import { EdgeList } from './EdgeList';
import type { Editing } from './editing';

/** Diameter, depth and place of the hole. */
export function HoleFold({
  edit,
  edges,
  onPurpose,
  onPlace,
  onGuide,
}: {
  readonly edit: Editing;
  readonly edges: readonly JudgedRule[];
  readonly onPurpose: () => void;
  readonly onPlace: () => void;
  readonly onGuide: () => void;
}) {
  const { hole, changeHole } = edit;
  const kind = hole.purpose?.kind;
  const purpose = kind !== undefined && isPurposeKind(kind) ? PURPOSES[kind].title : null;
  return (
    <>
      <Button
        label={purpose ?? holeWords.sizeItFromPart}
        icon={Ruler}
        hint={purpose ? holeWords.sizedFromPart(purpose) : holeWords.sizeHoleFromPart}
        onPress={onPurpose}
        testID="purpose"
      />
      <Size edit={edit} />
      <Place edit={edit} />
      <Row gap="$2" flexWrap="wrap">
        <Button label={holeWords.layItOutOn} icon={Crosshair} onPress={onPlace} testID="to-place" />
        <Button
          label={holeWords.guideDamAndFall}
          icon={DraftingCompass}
          onPress={onGuide}
          testID="to-guide"
        />
      </Row>
      <EdgeList edges={edges} />
      {hole.fall ? (
        <Small>{holeWords.fallsOneInFace(hole.fall.oneIn, hole.fall.lowSide)}</Small>
      ) : null}
      <TextBox
        label={holeWords.nameOfHole}
        value={hole.label ?? ''}
        placeholder={holeWords.whatItIsFor}
        onChangeText={(label) => {
          changeHole({ label }, 'hole-name');
        }}
        testID="hole-name"
      />
    </>
  );
}

interface FoldPartProps {
  readonly edit: Editing;
}

function Size({ edit: { piece, hole, changeHole } }: FoldPartProps) {
  const units = useUnits();
  const sizes = usualSizes(piece.form, units).diameterMm;
  const { depth } = hole;
  const setDepth = (kind: HoleDepth['kind']): void => {
    const depthMm = depth.kind === 'through' ? piece.thicknessMm / 2 : depth.depthMm;
    changeHole({ depth: kind === 'through' ? { kind } : { kind, depthMm } }, 'depth-kind');
  };
  return (
    <>
      <Chips
        label={commonWords.diameter}
        chips={sizes.map((mm) => ({ value: mm, label: formatLengthShort(mm, units) }))}
        value={hole.diameterMm}
        onChange={(diameterMm) => {
          changeHole({ diameterMm }, 'diameter');
        }}
        testID="diameter-chips"
      />
      <LengthBox
        label={holeWords.diameterExactly}
        valueMm={hole.diameterMm}
        maxMm={LIMITS.diameterMm.max}
        onChangeMm={(diameterMm) => {
          changeHole({ diameterMm }, 'diameter');
        }}
        testID="diameter"
      />
      <Chips label={holeWords.depth} chips={DEPTH_CHIPS} value={depth.kind} onChange={setDepth} />
      {depth.kind === 'through' ? null : (
        <LengthBox
          label={holeWords.howDeep}
          valueMm={depth.depthMm}
          maxMm={LIMITS.thicknessMm.max}
          onChangeMm={(depthMm) => {
            changeHole({ depth: { ...depth, depthMm } }, 'depth');
          }}
          testID="depth"
        />
      )}
    </>
  );
}

function Place({ edit: { piece, hole, changeHole } }: FoldPartProps) {
  const fromCentre = hole.face === 'base';
  return (
    <>
      {piece.form === 'vessel' ? (
        <Chips
          label={holeWords.drilledInto}
          chips={FACE_CHIPS}
          value={hole.face ?? 'top'}
          onChange={(face) => {
            changeHole({ face, ...(face === 'base' ? { xMm: 0, yMm: 0 } : {}) }, 'face');
          }}
        />
      ) : null}
      <Row gap="$3" alignItems="flex-start" flexWrap="wrap">
        <LengthBox
          inRow
          label={fromCentre ? holeWords.rightOfCentre : commonWords.fromLeft}
          valueMm={hole.xMm}
          anySign
          maxMm={LIMITS.placeMm.max}
          onChangeMm={(xMm) => {
            changeHole({ xMm }, 'x');
          }}
          testID="place-x"
        />
        <LengthBox
          inRow
          label={fromCentre ? holeWords.aboveCentre : holeWords.fromBottom}
          valueMm={hole.yMm}
          anySign
          maxMm={LIMITS.placeMm.max}
          onChangeMm={(yMm) => {
            changeHole({ yMm }, 'y');
          }}
          testID="place-y"
        />
      </Row>
    </>
  );
}
