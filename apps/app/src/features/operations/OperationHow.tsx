import type { Operation } from '@nucleon/core/documents/operation';
import { USUAL_GUIDE } from '@nucleon/core/layout/aim';
import { chosen } from '@nucleon/core/setup/operations/editOperations';
import {
  AID_CHIPS,
  HOLD_CHIPS,
  PACE_CHIPS,
  START_CHIPS,
  type Chip,
} from '@nucleon/core/words/screens/choiceChips';
import { couplingChips, howSummary, operationsWords } from '@nucleon/core/words/screens/operations';
import { useState } from 'react';
import { Chips } from '../../ui/Chips';
import { Fold } from '../../ui/Fold';
import type { Workshop } from '../kit/useWorkshop';

interface OperationHowProps {
  readonly one: Operation;
  readonly workshop: Workshop;
  readonly onChange: (change: (one: Operation) => Operation) => void;
}

/** How one cut is held, guided and fed, and on what its bit is put: folded, for it is mostly left to the plan. */
export function OperationHow({ one, workshop, onChange }: OperationHowProps) {
  const [open, setOpen] = useState(false);
  const couplings = workshop.parts.couplings;
  const choose =
    <K extends 'hold' | 'start' | 'pace' | 'feedAid' | 'guide' | 'couplingIds'>(choice: K) =>
    (value: Operation[K] | undefined): void => {
      onChange((now) => chosen(now, choice, value));
    };
  return (
    <Fold
      label={operationsWords.how}
      summary={howSummary(one, couplings)}
      open={open}
      onToggle={() => {
        setOpen(!open);
      }}
      testID="operation-how"
    >
      <Choice
        label={operationsWords.hold}
        chips={HOLD_CHIPS}
        value={one.hold}
        onChange={choose('hold')}
        testID="operation-hold"
      />
      <Choice
        label={operationsWords.start}
        chips={START_CHIPS}
        value={one.start}
        onChange={choose('start')}
        testID="operation-start"
      />
      <Choice
        label={operationsWords.pace}
        chips={PACE_CHIPS}
        value={one.pace}
        onChange={choose('pace')}
        testID="operation-pace"
      />
      <Choice
        label={operationsWords.feedAid}
        chips={AID_CHIPS}
        value={one.feedAid}
        onChange={choose('feedAid')}
        testID="operation-feed-aid"
      />
      <Choice
        label={operationsWords.guide}
        chips={[{ value: 'board', label: operationsWords.guideBoard }]}
        value={one.guide?.kind}
        onChange={(kind) => {
          choose('guide')(kind === undefined ? undefined : { kind, ...USUAL_GUIDE });
        }}
        testID="operation-guide"
      />
      {couplings.length > 0 ? (
        <Choice
          label={operationsWords.coupling}
          chips={couplingChips(couplings)}
          value={one.couplingIds?.[0]}
          onChange={(id) => {
            choose('couplingIds')(id === undefined ? undefined : [id]);
          }}
          testID="operation-coupling"
        />
      ) : null}
    </Fold>
  );
}

/** One of several, or left to the planner. */
function Choice<V extends string>({
  label,
  chips,
  value,
  onChange,
  testID,
}: {
  readonly label: string;
  readonly chips: readonly Chip<V>[];
  readonly value: V | undefined;
  readonly onChange: (value: V | undefined) => void;
  readonly testID: string;
}) {
  return (
    <Chips<V | ''>
      label={label}
      chips={[{ value: '', label: operationsWords.asPlanned }, ...chips]}
      value={value ?? ''}
      onChange={(now) => {
        onChange(now === '' ? undefined : now);
      }}
      testID={testID}
    />
  );
}
