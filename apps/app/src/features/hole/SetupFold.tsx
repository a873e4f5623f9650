import { holeWords } from '@nucleon/core/words/screens/hole';
import { MACHINE_KINDS } from '@nucleon/core/data/machines/machineKinds';
import { isUsable } from '@nucleon/core/setup/assumeSetup';
import type { Plan } from '@nucleon/core/documents/plan';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import ListOrdered from 'lucide-react-native/icons/list-ordered';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import type { Workshop } from '../kit/useWorkshop';
import {
  EXIT_CHIPS,
  PACE_CHIPS,
  SIDES_CHIPS,
  START_CHIPS,
} from '@nucleon/core/words/screens/choiceChips';
import type { Editing } from './editing';

/** Left to the planner. */
const PLANNER = '';

interface SetupFoldProps {
  readonly edit: Editing;
  readonly plan: Plan | null;
  readonly workshop: Workshop;
  /** Opens the ranking of all that is owned. */
  readonly onChoose: () => void;
}

/** Bit, machine, start, pace and sides. */
export function SetupFold({ edit, plan, workshop, onChoose }: SetupFoldProps) {
  const { hole, changeSetup } = edit;
  const setup = hole.setup ?? {};
  return (
    <>
      {hole.operations?.length ? (
        <Small testID="own-operations">{holeWords.ownOperations}</Small>
      ) : null}
      <Button
        label={holeWords.whatWouldDoIt}
        icon={ListOrdered}
        onPress={onChoose}
        testID="open-choose"
      />
      <ToolChips edit={edit} plan={plan} workshop={workshop} />
      <Chips
        label={holeWords.pace}
        chips={PACE_CHIPS}
        value={plan?.setup.pace ?? setup.pace}
        onChange={(pace) => {
          changeSetup({ pace, rimSpeedMPerS: undefined, contactPressureMpa: undefined }, 'pace');
        }}
        testID="pace"
      />
      <Chips
        label={holeWords.start}
        chips={START_CHIPS}
        value={plan?.setup.start ?? setup.start}
        onChange={(start) => {
          changeSetup({ start }, 'start');
        }}
      />
      <Chips
        label={holeWords.drillFrom}
        chips={SIDES_CHIPS}
        value={plan?.setup.sides ?? setup.sides}
        onChange={(sides) => {
          changeSetup({ sides }, 'sides');
        }}
        testID="sides"
      />
      <Chips
        label={holeWords.atEnd}
        chips={EXIT_CHIPS}
        value={setup.exit ?? 'ease'}
        onChange={(exit) => {
          changeSetup({ exit }, 'exit');
        }}
        testID="exit"
      />
    </>
  );
}

/** Bit and machine, each chosen or left to the planner. */
function ToolChips({ edit, plan, workshop }: Omit<SetupFoldProps, 'onChoose'>) {
  const units = useUnits();
  const { hole, changeSetup } = edit;
  const setup = hole.setup ?? {};
  const chosenBit = setup.bits?.at(-1) ?? setup.bit ?? PLANNER;
  const bits = workshop.bits.filter((bit) => isUsable(bit) || bit.id === chosenBit);
  const machines = workshop.machines.filter((one) => !one.retired || one.id === setup.machine);
  const nearest = [...bits].sort(
    (a, b) => Math.abs(a.diameterMm - hole.diameterMm) - Math.abs(b.diameterMm - hole.diameterMm),
  );
  return (
    <>
      <Chips
        label={holeWords.bitNearestSizeFirst}
        chips={[
          ...nearest.map((bit) => ({
            value: bit.id,
            label: `${bit.name} · ${formatLengthShort(bit.diameterMm, units)}`,
          })),
          { value: PLANNER, label: holeWords.letPlanChoose },
        ]}
        value={chosenBit}
        onChange={(id) => {
          changeSetup({ bit: id === PLANNER ? undefined : id, bits: undefined }, 'bit');
        }}
        testID="bit"
      />
      {chosenBit === PLANNER && plan?.reasons.bit ? <Small>{plan.reasons.bit.text}</Small> : null}
      <Chips
        label={holeWords.machine}
        chips={[
          ...machines.map((machine) => ({
            value: machine.id,
            label: machine.name || MACHINE_KINDS[machine.kind].name,
          })),
          { value: PLANNER, label: holeWords.letPlanChoose },
        ]}
        value={setup.machine ?? PLANNER}
        onChange={(id) => {
          changeSetup({ machine: id === PLANNER ? undefined : id }, 'machine');
        }}
        testID="machine"
      />
      {setup.machine === undefined && plan ? (
        <Small>
          {plan.setup.machineName}: {plan.reasons.machine?.text}
        </Small>
      ) : null}
    </>
  );
}
