import { BIT_FAMILIES } from '@nucleon/core/data/bits/bitFamilies';
import { MACHINE_KINDS } from '@nucleon/core/data/machines/machineKinds';
import { OPERATION_KINDS, type Help } from '@nucleon/core/data/operations';
import type { Hole } from '@nucleon/core/documents/hole';
import type { Operation } from '@nucleon/core/documents/operation';
import { isUsable } from '@nucleon/core/setup/assumeSetup';
import { chosen } from '@nucleon/core/setup/operations/editOperations';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import {
  FACE_CHIPS,
  HAMMER_CHIPS,
  HELP_CHIPS,
  leafChips,
  operationsWords,
  WET_CHIPS,
} from '@nucleon/core/words/screens/operations';
import type { Material } from '@nucleon/core/data/materials/material';
import type { Piece } from '@nucleon/core/documents/piece';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { OperationHow } from './OperationHow';
import { useUnits } from '../display/displayStore';
import type { Workshop } from '../kit/useWorkshop';
import type { OperationRow } from './useOperations';

/** In place of a leaf’s number. */
const BY_DEPTH = 0;
/** Left to the planner. */
const PLANNER = '';
/** So many bits are offered before the rest is asked for. */
const NEAREST = 4;

interface OperationFormProps {
  readonly row: OperationRow;
  readonly hole: Hole;
  readonly piece: Piece;
  /** Own materials of the job, as leaves name them. */
  readonly custom: readonly Material[];
  readonly workshop: Workshop;
  readonly onChange: (change: (one: Operation) => Operation) => void;
}

/** What is chosen for one operation; work of hands has a face and a helper only. */
export function OperationForm(props: OperationFormProps) {
  const { row, onChange } = props;
  const { one, planned } = row;
  return (
    <Column gap="$4" testID="operation-form">
      {OPERATION_KINDS[one.does].cuts ? <CutFields {...props} /> : null}
      <Chips
        label={operationsWords.face}
        chips={FACE_CHIPS}
        value={one.face ?? planned?.face ?? 'near'}
        onChange={(face) => {
          onChange((now) => ({ ...now, face }));
        }}
        testID="operation-face"
      />
      <Chips<Help | ''>
        label={operationsWords.helper}
        chips={[{ value: PLANNER, label: operationsWords.nobody }, ...HELP_CHIPS]}
        value={one.helper ?? PLANNER}
        onChange={(helper) => {
          onChange((now) => chosen(now, 'helper', helper === PLANNER ? undefined : helper));
        }}
        testID="operation-helper"
      />
    </Column>
  );
}

/** What a cut has: its tool, its depths, and how it runs. */
function CutFields(props: OperationFormProps) {
  const { row, workshop, onChange } = props;
  return (
    <>
      <ToolFields {...props} />
      <DepthFields {...props} />
      <RunsFields row={row} workshop={workshop} onChange={onChange} />
    </>
  );
}

function ToolFields({ row, hole, workshop, onChange }: OperationFormProps) {
  const units = useUnits();
  const { one, planned } = row;
  const sizeMm = one.diameterMm ?? planned?.bitDiameterMm ?? hole.diameterMm;
  const bits = workshop.bits
    .filter((bit) => isUsable(bit) || bit.id === one.bitId)
    .sort((a, b) => Math.abs(a.diameterMm - sizeMm) - Math.abs(b.diameterMm - sizeMm));
  const [all, setAll] = useState(false);
  const shown = bits.filter(({ id }, index) => all || index < NEAREST || id === one.bitId);
  const machines = workshop.machines.filter((each) => !each.retired || each.id === one.machineId);
  return (
    <>
      <Chips
        label={operationsWords.bit}
        chips={[
          ...shown.map((each) => ({
            value: each.id,
            label: `${each.name} · ${formatLengthShort(each.diameterMm, units)}`,
          })),
          { value: PLANNER, label: operationsWords.asPlanned },
        ]}
        value={one.bitId ?? PLANNER}
        onChange={(bitId) => {
          onChange(({ bitId: _bit, diameterMm: _size, hammer: _hammer, ...rest }) =>
            bitId === PLANNER ? { ...rest, diameterMm: sizeMm } : { ...rest, bitId },
          );
        }}
        testID="operation-bit"
      />
      {shown.length < bits.length ? (
        <Row>
          <Button
            label={operationsWords.moreBits(bits.length - shown.length)}
            look="quiet"
            onPress={() => {
              setAll(true);
            }}
          />
        </Row>
      ) : null}
      <Chips
        label={operationsWords.machine}
        chips={[
          ...machines.map((each) => ({
            value: each.id,
            label: each.name || MACHINE_KINDS[each.kind].name,
          })),
          { value: PLANNER, label: operationsWords.asPlanned },
        ]}
        value={one.machineId ?? PLANNER}
        onChange={(machineId) => {
          onChange((now) =>
            chosen(now, 'machineId', machineId === PLANNER ? undefined : machineId),
          );
        }}
        testID="operation-machine"
      />
    </>
  );
}

function DepthFields({ row, piece, custom, onChange }: OperationFormProps) {
  const { one, planned } = row;
  const leaves = leafChips(piece, custom, one.face ?? planned?.face ?? 'near');
  return (
    <>
      {leaves.length > 0 ? (
        <Chips<number>
          label={operationsWords.leaf}
          chips={[...leaves, { value: BY_DEPTH, label: operationsWords.byDepth }]}
          value={one.leaf ?? BY_DEPTH}
          onChange={(leaf) => {
            onChange(({ leaf: _leaf, fromMm: _from, toMm: _to, ...rest }) =>
              leaf === BY_DEPTH
                ? {
                    ...rest,
                    fromMm: planned?.fromMm ?? 0,
                    toMm: planned?.toMm ?? piece.thicknessMm,
                  }
                : { ...rest, leaf },
            );
          }}
          testID="operation-leaf"
        />
      ) : null}
      <Row gap="$3">
        <LengthBox
          key={`from ${one.id}`}
          inRow
          label={operationsWords.from}
          valueMm={one.fromMm ?? planned?.fromMm ?? null}
          maxMm={piece.thicknessMm}
          anySign
          onChangeMm={(fromMm) => {
            onChange(({ leaf: _leaf, ...rest }) => ({ ...rest, fromMm: Math.max(0, fromMm) }));
          }}
          testID="operation-from"
        />
        <LengthBox
          key={`to ${one.id}`}
          inRow
          label={operationsWords.to}
          valueMm={one.toMm ?? planned?.toMm ?? null}
          maxMm={piece.thicknessMm}
          onChangeMm={(toMm) => {
            onChange(({ leaf: _leaf, ...rest }) => ({ ...rest, toMm }));
          }}
          testID="operation-to"
        />
      </Row>
    </>
  );
}

function RunsFields({
  row,
  workshop,
  onChange,
}: Pick<OperationFormProps, 'row' | 'workshop' | 'onChange'>) {
  const { one, planned } = row;
  const bit = workshop.bits.find(({ id }) => id === one.bitId);
  const family = bit?.family ?? planned?.bitFamily;
  const takesHammer = Object.entries(BIT_FAMILIES).some(
    ([id, { takesHammer: takes }]) => takes && id === family,
  );
  return (
    <>
      <Chips
        label={operationsWords.water}
        chips={WET_CHIPS}
        value={(one.wet ?? planned?.wet ?? true) ? 'wet' : 'dry'}
        onChange={(wet) => {
          onChange(({ water: _water, ...rest }) => ({ ...rest, wet: wet === 'wet' }));
        }}
        testID="operation-wet"
      />
      <OperationHow one={one} workshop={workshop} onChange={onChange} />
      {takesHammer ? (
        <Chips
          label={operationsWords.hammer}
          chips={HAMMER_CHIPS}
          value={one.hammer ? 'on' : 'off'}
          onChange={(hammer) => {
            onChange((now) => ({ ...now, hammer: hammer === 'on' }));
          }}
          testID="operation-hammer"
        />
      ) : null}
    </>
  );
}
