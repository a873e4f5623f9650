import { guideWords } from '@nucleon/core/words/screens/guide';
import { commonWords } from '@nucleon/core/words/screens/common';
import { routes } from '../../routes';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import type { Drawing } from '@nucleon/core/math/primitives';
import { faceMaterial } from '@nucleon/core/layout/faceMaterial';
import { USUAL_GUIDE } from '@nucleon/core/layout/aim';
import { dam, fallWedge, guideBoard, usualDamInner } from '@nucleon/core/layout/guideBoard';
import { damLines, guideLines, wedgeLines } from '@nucleon/core/words/layout/guideLines';
import { reachOf } from '@nucleon/core/layout/services';
import type { ReasonInput } from '@nucleon/core/documents/reason';
import { damDrawing, guideDrawing, wedgeDrawing } from '@nucleon/core/drawing/guideDrawing';
import { useState } from 'react';
import { Measured } from '../../drawing/Measured';
import { ScaleDrawing } from '../../drawing/ScaleDrawing';
import { Chips } from '../../ui/Chips';
import { Column, Panel, Row } from '../../ui/layout';
import { Lines } from '../../ui/Lines';
import { LengthBox } from '../../ui/LengthBox';
import { NumberBox } from '../../ui/NumberBox';
import { Page } from '../../ui/Page';
import { Heading, Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import type { LoadedHole } from '../hole/HoleLoader';
import { HoleTrouble } from '../hole/HoleTrouble';
import { SaveMark } from '../draft/SaveMark';
import { useHoleRoom } from '../hole/useHoleRoom';

const USUAL_FALL = 60;
const DRAWING_PX = 260;

interface GuidePartProps {
  readonly room: ReturnType<typeof useHoleRoom>;
  readonly bitDiameterMm: number;
  readonly depthMm: number;
}

/** Guide board, water dam and fall of one hole, each with its drawing. */
export function GuideRoom(loaded: LoadedHole) {
  const room = useHoleRoom(loaded);
  const { edit, handle, detail, lastPlan: plan } = room;
  const { piece, hole } = edit;
  const parts: GuidePartProps = {
    room,
    bitDiameterMm: plan?.setup.bitDiameterMm ?? hole.diameterMm,
    depthMm: reachOf(hole, piece),
  };
  return (
    <Page
      title={guideWords.guideDamAndFall}
      subtitle={`${hole.label || commonWords.hole} · ${piece.name}`}
      back={{ href: routes.hole(detail.job.id, hole.id), label: commonWords.thePlan }}
      actions={<SaveMark save={handle.draft.save} />}
    >
      <HoleTrouble {...room} />
      <Column padding="$4" gap="$4">
        <BoardPart {...parts} />
        <DamPart {...parts} />
        <FallPart {...parts} />
      </Column>
    </Page>
  );
}

const toneOf = ({ edit, detail }: GuidePartProps['room']) =>
  faceMaterial(edit.piece, detail.job.customMaterials).class;

function BoardPart({ room, bitDiameterMm, depthMm }: GuidePartProps) {
  const units = useUnits();
  const { hole, changeSetup } = room.edit;
  const guide = hole.setup?.guide;
  const given = {
    boardThicknessMm: guide?.thicknessMm ?? USUAL_GUIDE.thicknessMm,
    clearanceMm: guide?.clearanceMm ?? USUAL_GUIDE.clearanceMm,
    bitDiameterMm,
    depthMm,
  };
  const board = guideBoard(given);
  const setGuide = (change: { thicknessMm?: number; clearanceMm?: number }): void => {
    changeSetup(
      {
        guide: {
          kind: guide?.kind ?? 'board',
          thicknessMm: given.boardThicknessMm,
          clearanceMm: given.clearanceMm,
          ...change,
        },
        hold: 'guided',
      },
      'guide',
    );
  };
  return (
    <>
      <Part
        title={guideWords.guideBoard}
        drawing={guideDrawing(board, given, toneOf(room), units)}
        lines={guideLines(board, given, units)}
        testID="guide-board"
      >
        <SmallLength
          label={guideWords.boardThick}
          valueMm={given.boardThicknessMm}
          onChangeMm={(thicknessMm) => {
            setGuide({ thicknessMm });
          }}
          testID="guide-thickness"
        />
        <SmallLength
          label={guideWords.widerThanBitBy}
          valueMm={given.clearanceMm}
          onChangeMm={(clearanceMm) => {
            setGuide({ clearanceMm });
          }}
          testID="guide-clearance"
        />
      </Part>
      <Small>{guide ? guideWords.thisGuideCountsIn : guideWords.changeNumberAndThis}</Small>
    </>
  );
}

function DamPart({ room, bitDiameterMm }: GuidePartProps) {
  const units = useUnits();
  const [ring, setRing] = useState({ innerDiameterMm: 0, wallMm: 10, heightMm: 15 });
  const given = {
    ...ring,
    innerDiameterMm: ring.innerDiameterMm || usualDamInner(bitDiameterMm),
    bitDiameterMm,
  };
  const length = (key: keyof typeof ring, label: string, testID: string) => (
    <SmallLength
      label={label}
      valueMm={given[key]}
      onChangeMm={(mm) => {
        setRing({ ...ring, [key]: mm });
      }}
      testID={testID}
    />
  );
  return (
    <Part
      title={guideWords.waterDam}
      drawing={damDrawing(given, toneOf(room), units)}
      lines={damLines(dam(given), given, units)}
      testID="dam"
    >
      {length('innerDiameterMm', guideWords.inside, 'dam-inner')}
      {length('wallMm', guideWords.wall, 'dam-wall')}
      {length('heightMm', guideWords.high, 'dam-height')}
    </Part>
  );
}

const FALL_CHIPS = [
  { value: 'none', label: guideWords.noFall },
  { value: 'far', label: guideWords.theFarFace },
  { value: 'near', label: guideWords.theNearFace },
] as const;

function FallPart({ room, depthMm }: GuidePartProps) {
  const units = useUnits();
  const { hole, changeHole } = room.edit;
  const [baseMm, setBase] = useState(300);
  const oneIn = hole.fall?.oneIn ?? USUAL_FALL;
  const wedge = fallWedge(oneIn, baseMm, depthMm);
  return (
    <Part
      title={guideWords.fall}
      drawing={wedgeDrawing(wedge, baseMm, units)}
      lines={wedgeLines(wedge, baseMm, depthMm, units)}
      testID="fall"
    >
      <Chips
        label={guideWords.whichFaceLiesLower}
        chips={FALL_CHIPS}
        value={hole.fall?.lowSide ?? 'none'}
        onChange={(lowSide) => {
          changeHole({ fall: lowSide === 'none' ? undefined : { oneIn, lowSide } }, 'fall-side');
        }}
        testID="fall-side"
      />
      <NumberBox
        inRow
        label={guideWords.fallsOneIn}
        value={oneIn}
        limit={LIMITS.oneIn}
        onChange={(value) => {
          if (value !== undefined)
            changeHole({ fall: { oneIn: value, lowSide: hole.fall?.lowSide ?? 'far' } }, 'fall');
        }}
        testID="fall-one-in"
      />
      <SmallLength
        label={guideWords.guidesFootLong}
        valueMm={baseMm}
        onChangeMm={setBase}
        testID="fall-base"
      />
    </Part>
  );
}

interface SmallLengthProps {
  readonly label: string;
  readonly valueMm: number;
  readonly onChangeMm: (mm: number) => void;
  readonly testID: string;
}

const SmallLength = (props: SmallLengthProps) => (
  <LengthBox inRow maxMm={LIMITS.smallMm.max} {...props} />
);

interface PartProps {
  readonly title: string;
  readonly drawing: Drawing;
  readonly lines: readonly ReasonInput[];
  readonly children: React.ReactNode;
  readonly testID: string;
}

function Part({ title, drawing, lines, children, testID }: PartProps) {
  return (
    <Panel wet padding="$4" gap="$3" testID={testID}>
      <Heading aria-level={2}>{title}</Heading>
      <Measured>
        {(width) => <ScaleDrawing drawing={drawing} width={width} maxHeight={DRAWING_PX} />}
      </Measured>
      <Row gap="$3" flexWrap="wrap" alignItems="flex-start">
        {children}
      </Row>
      <Lines lines={lines} />
    </Panel>
  );
}
