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

/** Guide board, water dam and fall of one hole, each with its drawing. */
export function GuideRoom(loaded: LoadedHole) {
  const room = useHoleRoom(loaded);
  const units = useUnits();
  const { edit, handle, detail, plan } = room;
  const { piece, hole, changeSetup, changeHole } = edit;
  const tone = faceMaterial(piece, detail.job.customMaterials).class;
  const depthMm = reachOf(hole, piece);
  const bitDiameterMm = plan?.setup.bitDiameterMm ?? hole.diameterMm;

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

  const [ring, setRing] = useState({ innerDiameterMm: 0, wallMm: 10, heightMm: 15 });
  const damInput = {
    ...ring,
    innerDiameterMm: ring.innerDiameterMm || usualDamInner(bitDiameterMm),
    bitDiameterMm,
  };
  const held = dam(damInput);

  const [baseMm, setBase] = useState(300);
  const oneIn = hole.fall?.oneIn ?? USUAL_FALL;
  const wedge = fallWedge(oneIn, baseMm, depthMm);
  const length = (
    label: string,
    valueMm: number,
    onChangeMm: (mm: number) => void,
    testID: string,
  ) => (
    <LengthBox
      inRow
      label={label}
      valueMm={valueMm}
      mostMm={LIMITS.smallMm.max}
      onChangeMm={onChangeMm}
      testID={testID}
    />
  );
  return (
    <Page
      title="Guide, dam and fall"
      subtitle={`${hole.label || 'Hole'} · ${piece.name}`}
      back={{ href: routes.hole(detail.job.id, hole.id), label: 'the plan' }}
      actions={<SaveMark save={handle.draft.save} />}
    >
      <HoleTrouble {...room} />
      <Column padding="$4" gap="$4">
        <Part
          title="Guide board"
          drawing={guideDrawing(board, given, tone, units)}
          lines={guideLines(board, given, units)}
          testID="guide-board"
        >
          {length(
            'Board, thick',
            given.boardThicknessMm,
            (thicknessMm) => {
              setGuide({ thicknessMm });
            },
            'guide-thickness',
          )}
          {length(
            'Wider than the bit by',
            given.clearanceMm,
            (clearanceMm) => {
              setGuide({ clearanceMm });
            },
            'guide-clearance',
          )}
        </Part>
        <Small>
          {guide
            ? 'This guide counts in the plan: where the hole comes out, and how steadily it is held.'
            : 'Change a number and this guide is used in the plan.'}
        </Small>
        <Part
          title="Water dam"
          drawing={damDrawing(damInput, tone, units)}
          lines={damLines(held, damInput, units)}
          testID="dam"
        >
          {length(
            'Inside',
            damInput.innerDiameterMm,
            (innerDiameterMm) => {
              setRing({ ...ring, innerDiameterMm });
            },
            'dam-inner',
          )}
          {length(
            'Wall',
            ring.wallMm,
            (wallMm) => {
              setRing({ ...ring, wallMm });
            },
            'dam-wall',
          )}
          {length(
            'High',
            ring.heightMm,
            (heightMm) => {
              setRing({ ...ring, heightMm });
            },
            'dam-height',
          )}
        </Part>
        <Part
          title="Fall"
          drawing={wedgeDrawing(wedge, baseMm, units)}
          lines={wedgeLines(wedge, baseMm, depthMm, units)}
          testID="fall"
        >
          <Chips
            label="Which face lies lower?"
            chips={[
              { value: 'none', label: 'No fall' },
              { value: 'far', label: 'The far face' },
              { value: 'near', label: 'The near face' },
            ]}
            value={hole.fall?.lowSide ?? 'none'}
            onChange={(lowSide) => {
              changeHole(
                { fall: lowSide === 'none' ? undefined : { oneIn, lowSide } },
                'fall-side',
              );
            }}
            testID="fall-side"
          />
          <NumberBox
            inRow
            label="Falls one in"
            value={oneIn}
            limit={LIMITS.oneIn}
            onChange={(value) => {
              if (value !== undefined)
                changeHole(
                  { fall: { oneIn: value, lowSide: hole.fall?.lowSide ?? 'far' } },
                  'fall',
                );
            }}
            testID="fall-one-in"
          />
          {length('Guide’s foot, long', baseMm, setBase, 'fall-base')}
        </Part>
      </Column>
    </Page>
  );
}

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
