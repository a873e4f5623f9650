import { LIMITS } from '@nucleon/contract/limits';
import { boundingBox } from '@nucleon/core/geometry/outline';
import type { SupportPad, SupportSetup } from '@nucleon/core/job/job';
import { formatLengthShort } from '@nucleon/core/units/length';
import Plus from 'lucide-react-native/icons/plus';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { NumberBox } from '../../ui/NumberBox';
import { Heading, Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import type { Editing } from '../hole/editing';

const EDGE_CHIPS = [
  { value: 'none', label: 'Free' },
  { value: 'two', label: 'Left and right on battens' },
  { value: 'four', label: 'Held all round' },
] as const;
const CONTACT_CHIPS = [
  { value: 1, label: 'All of it' },
  { value: 0.6, label: 'Much of it' },
  { value: 0.3, label: 'In places' },
] as const;
/** A new pad is this share of the shorter span, and a new board of the same. */
const PAD_SHARE = 0.2;
const BOARD_SHARE = 0.5;
const USUAL_BOARD_MM = 18;
const USUAL_CLAMP = { padDiameterMm: 20, forceN: 50 } as const;

interface PadPanelProps {
  readonly edit: Editing;
  readonly support: SupportSetup;
  readonly edgesHeld: 'none' | 'two' | 'four';
  readonly chosen: number | null;
  readonly onChoose: (index: number | null) => void;
}

/** What the piece rests on and what lies on it, piece by piece. */
export function PadPanel({ edit, support, edgesHeld, chosen, onChoose }: PadPanelProps) {
  const units = useUnits();
  const { piece, hole, changeSetup } = edit;
  const { widthMm, heightMm } = boundingBox(piece.outline);
  const { pads = [], clamps = [], boards = [] } = support;
  const change = (next: Partial<SupportSetup>, group: string): void => {
    changeSetup({ support: { ...support, ...next } }, group);
  };
  const side = Math.round(PAD_SHARE * Math.min(widthMm, heightMm));
  const pad = chosen === null ? undefined : pads[chosen];
  const setPad = (next: Partial<SupportPad>): void => {
    change(
      { pads: pads.map((one, index) => (index === chosen ? { ...one, ...next } : one)) },
      'pad-size',
    );
  };
  const addPad = (): void => {
    // The first ones stand where a piece is usually propped: near its corners, then under the hole.
    const [near, farX, farY] = [0.1 * side, widthMm - 1.1 * side, heightMm - 1.1 * side];
    const places = [
      [near, near],
      [farX, near],
      [farX, farY],
      [near, farY],
      [hole.xMm - side / 2, hole.yMm - side / 2],
    ] as const;
    const [xMm, yMm] = places[pads.length] ?? places[4];
    change(
      {
        pads: [
          ...pads,
          { xMm: Math.round(xMm), yMm: Math.round(yMm), widthMm: side, heightMm: side },
        ],
      },
      'pads',
    );
    onChoose(pads.length);
  };
  return (
    <Column gap="$4">
      <Heading aria-level={2}>What holds it</Heading>
      <Small>
        {pads.length === 0
          ? 'It lies on the whole bed. Lay pads instead, and only they carry.'
          : `It rests on ${pads.length === 1 ? 'one pad' : `${pads.length} pads`} and nothing else. Drag them on the map.`}
      </Small>
      <Row gap="$2" flexWrap="wrap">
        <Button label="Add a pad" icon={Plus} onPress={addPad} testID="add-pad" />
        {pads.length > 0 ? (
          <Button
            label="Whole bed again"
            onPress={() => {
              change({ pads: undefined }, 'pads');
              onChoose(null);
            }}
            testID="whole-bed"
          />
        ) : null}
      </Row>
      {pads.length > 0 ? (
        <Chips
          label="Pad"
          chips={pads.map((_, index) => ({ value: index, label: `Pad ${index + 1}` }))}
          value={chosen ?? undefined}
          onChange={onChoose}
          testID="pads"
        />
      ) : null}
      {pad && chosen !== null ? (
        <Column gap="$3" testID="pad-fields">
          <Row gap="$3" flexWrap="wrap" alignItems="flex-start">
            <LengthBox
              inRow
              anySign
              label="From the left"
              valueMm={pad.xMm}
              mostMm={LIMITS.lengthMm.most}
              onChangeMm={(xMm) => {
                setPad({ xMm });
              }}
              testID="pad-x"
            />
            <LengthBox
              inRow
              anySign
              label="From below"
              valueMm={pad.yMm}
              mostMm={LIMITS.lengthMm.most}
              onChangeMm={(yMm) => {
                setPad({ yMm });
              }}
              testID="pad-y"
            />
            <LengthBox
              inRow
              label="Wide"
              valueMm={pad.widthMm}
              mostMm={LIMITS.lengthMm.most}
              onChangeMm={(wide) => {
                setPad({ widthMm: wide });
              }}
              testID="pad-width"
            />
            <LengthBox
              inRow
              label="High"
              valueMm={pad.heightMm}
              mostMm={LIMITS.lengthMm.most}
              onChangeMm={(high) => {
                setPad({ heightMm: high });
              }}
              testID="pad-height"
            />
          </Row>
          <Row>
            <Button
              label="Take this pad away"
              look="quiet"
              onPress={() => {
                change({ pads: pads.filter((_, index) => index !== chosen) }, 'pads');
                onChoose(null);
              }}
              testID="remove-pad"
            />
          </Row>
        </Column>
      ) : null}
      <Chips
        label="Its edges"
        chips={EDGE_CHIPS}
        value={edgesHeld}
        onChange={(held) => {
          change({ edgesHeld: held }, 'edges-held');
        }}
        testID="edges-held"
      />
      <Chips
        label="It touches its bed over"
        chips={CONTACT_CHIPS}
        value={support.contactFraction ?? 1}
        onChange={(contactFraction) => {
          change({ contactFraction }, 'contact');
        }}
        testID="contact"
      />
      <LengthBox
        label="Twist: one corner stands off a flat table by"
        valueMm={support.twistMm ?? 0}
        anySign
        mostMm={20}
        onChangeMm={(twistMm) => {
          change({ twistMm: Math.max(0, twistMm) }, 'twist');
        }}
        testID="twist"
      />
      <Row gap="$2" flexWrap="wrap">
        <Button
          label="Add a clamp"
          icon={Plus}
          onPress={() => {
            const xMm = clamps.length % 2 === 0 ? side / 2 : widthMm - side / 2;
            change(
              {
                clamps: [
                  ...clamps,
                  { ...USUAL_CLAMP, xMm: Math.round(xMm), yMm: Math.round(heightMm / 2) },
                ],
              },
              'clamps',
            );
          }}
          testID="add-clamp"
        />
        <Button
          label="Lay a board over the hole"
          icon={Plus}
          onPress={() => {
            const wide = Math.round(BOARD_SHARE * Math.min(widthMm, heightMm));
            change(
              {
                boards: [
                  ...boards,
                  {
                    xMm: Math.round(hole.xMm - wide / 2),
                    yMm: Math.round(hole.yMm - wide / 2),
                    widthMm: wide,
                    heightMm: wide,
                    thicknessMm: USUAL_BOARD_MM,
                  },
                ],
              },
              'boards',
            );
          }}
          testID="add-board"
        />
      </Row>
      {clamps.map((clamp, index) => (
        <Row key={index} gap="$3" alignItems="flex-end" flexWrap="wrap" testID={`clamp-${index}`}>
          <NumberBox
            inRow
            label={`Clamp ${index + 1}, N`}
            value={Math.round(clamp.forceN)}
            limit={{ above: 0, most: 5000, unit: 'N' }}
            onChange={(forceN) => {
              if (forceN !== undefined)
                change(
                  { clamps: clamps.map((one, i) => (i === index ? { ...one, forceN } : one)) },
                  'clamp-force',
                );
            }}
          />
          <LengthBox
            inRow
            label="Pad"
            valueMm={clamp.padDiameterMm}
            mostMm={LIMITS.smallMm.most}
            onChangeMm={(padDiameterMm) => {
              change(
                {
                  clamps: clamps.map((one, i) => (i === index ? { ...one, padDiameterMm } : one)),
                },
                'clamp-pad',
              );
            }}
          />
          <Button
            label="Take away"
            look="quiet"
            onPress={() => {
              change({ clamps: clamps.filter((_, i) => i !== index) }, 'clamps');
            }}
          />
        </Row>
      ))}
      {boards.map((board, index) => (
        <Row key={index} gap="$3" justifyContent="space-between" testID={`board-${index}`}>
          <Small flex={1}>
            Board {formatLengthShort(board.widthMm, units)} ×{' '}
            {formatLengthShort(board.heightMm, units)},{' '}
            {formatLengthShort(board.thicknessMm, units)} thick
          </Small>
          <Button
            label="Take away"
            look="quiet"
            hint={`Take board ${index + 1} away`}
            onPress={() => {
              change({ boards: boards.filter((_, i) => i !== index) }, 'boards');
            }}
          />
        </Row>
      ))}
    </Column>
  );
}
