import { heldWords } from '@nucleon/core/words/screens/held';
import { nextPad } from '@nucleon/core/layout/supportPlaces';
import type { SupportPad, SupportSetup } from '@nucleon/core/documents/setup';
import Plus from 'lucide-react-native/icons/plus';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Heading, Small } from '../../ui/text';
import type { Editing } from '../hole/editing';
import { OnTopPanel } from './OnTopPanel';
import { PadFields } from './PadFields';

const EDGE_CHIPS = [
  { value: 'none', label: heldWords.free },
  { value: 'two', label: heldWords.leftAndRightOn },
  { value: 'four', label: heldWords.heldAllRound },
] as const;
const CONTACT_CHIPS = [
  { value: 1, label: heldWords.allOfIt },
  { value: 0.6, label: heldWords.muchOfIt },
  { value: 0.3, label: heldWords.inPlaces },
] as const;

interface PadPanelProps {
  readonly edit: Editing;
  readonly support: SupportSetup;
  readonly edgesHeld: 'none' | 'two' | 'four';
  readonly chosen: number | null;
  readonly onChoose: (index: number | null) => void;
}

/** What the piece rests on, pad by pad, and what lies on it. */
export function PadPanel({ edit, support, edgesHeld, chosen, onChoose }: PadPanelProps) {
  const { piece, hole, changeSetup } = edit;
  const { pads = [] } = support;
  const change = (next: Partial<SupportSetup>, group: string): void => {
    changeSetup({ support: { ...support, ...next } }, group);
  };
  const pad = chosen === null ? undefined : pads[chosen];
  const setPad = (next: Partial<SupportPad>): void => {
    change(
      { pads: pads.map((one, index) => (index === chosen ? { ...one, ...next } : one)) },
      'pad-size',
    );
  };
  const addPad = (): void => {
    change({ pads: [...pads, nextPad(piece.outline, hole, pads.length)] }, 'pads');
    onChoose(pads.length);
  };
  return (
    <Column gap="$4">
      <Heading aria-level={2}>{heldWords.whatHoldsIt}</Heading>
      <Small>
        {pads.length === 0 ? heldWords.itLiesOnWhole : heldWords.itRestsOnAnd(pads.length)}
      </Small>
      <Row gap="$2" flexWrap="wrap">
        <Button label={heldWords.addPad} icon={Plus} onPress={addPad} testID="add-pad" />
        {pads.length > 0 ? (
          <Button
            label={heldWords.wholeBedAgain}
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
          label={heldWords.pad}
          chips={pads.map((_, index) => ({ value: index, label: heldWords.padCount(index + 1) }))}
          value={chosen ?? undefined}
          onChange={onChoose}
          testID="pads"
        />
      ) : null}
      {pad && chosen !== null ? (
        <PadFields
          pad={pad}
          onChange={setPad}
          onRemove={() => {
            change({ pads: pads.filter((_, index) => index !== chosen) }, 'pads');
            onChoose(null);
          }}
        />
      ) : null}
      <BedFields support={support} edgesHeld={edgesHeld} onChange={change} />
      <OnTopPanel edit={edit} support={support} onChange={change} />
    </Column>
  );
}

/** How its edges and its face lie on what is under it. */
function BedFields({
  support,
  edgesHeld,
  onChange,
}: Pick<PadPanelProps, 'support' | 'edgesHeld'> & {
  readonly onChange: (next: Partial<SupportSetup>, group: string) => void;
}) {
  return (
    <>
      <Chips
        label={heldWords.itsEdges}
        chips={EDGE_CHIPS}
        value={edgesHeld}
        onChange={(held) => {
          onChange({ edgesHeld: held }, 'edges-held');
        }}
        testID="edges-held"
      />
      <Chips
        label={heldWords.itTouchesItsBed}
        chips={CONTACT_CHIPS}
        value={support.contactFraction ?? 1}
        onChange={(contactFraction) => {
          onChange({ contactFraction }, 'contact');
        }}
        testID="contact"
      />
      <LengthBox
        label={heldWords.twistOneCornerStands}
        valueMm={support.twistMm ?? 0}
        anySign
        maxMm={20}
        onChangeMm={(twistMm) => {
          onChange({ twistMm: Math.max(0, twistMm) }, 'twist');
        }}
        testID="twist"
      />
    </>
  );
}
