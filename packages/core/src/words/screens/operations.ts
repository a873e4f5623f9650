import {
  HELPS,
  OPERATION_KIND_IDS,
  OPERATION_KINDS,
  type Face,
  type Help,
} from '../../data/operations';
import type { Material } from '../../data/materials/material';
import type { Coupling } from '../../documents/kit';
import type { Operation } from '../../documents/operation';
import type { Piece } from '../../documents/piece';
import { layersTo } from '../../setup/cutLayers';
import { leavesFrom } from '../../setup/operations/holeProfile';
import type { OperationPreset, PresetId } from '../../advice/operationPresets';
import { isPurposeKind, type PurposeKind } from '../../layout/purposes/purposes';
import { HELP_WORDS } from '../plan/helpWords';
import { AID_CHIPS, HOLD_CHIPS, PACE_CHIPS, START_CHIPS, type Chip } from './choiceChips';

export const HELP_CHIPS: readonly Chip<Help>[] = HELPS.map((value) => ({
  value,
  label: HELP_WORDS[value].label,
}));
export const KIND_CHIPS = OPERATION_KIND_IDS.map((value) => ({
  value,
  label: OPERATION_KINDS[value].name,
}));
export const FACE_CHIPS = [
  { value: 'near', label: 'Near face' },
  { value: 'far', label: 'Far face' },
] as const;
export const WET_CHIPS = [
  { value: 'wet', label: 'Wet' },
  { value: 'dry', label: 'Dry' },
] as const;
export const HAMMER_CHIPS = [
  { value: 'off', label: 'Hammer off' },
  { value: 'on', label: 'Hammer on' },
] as const;

const PRESET_NAMES: Readonly<Record<PresetId, string>> = {
  'one-face': 'From one face',
  'both-faces': 'From both faces',
  'pilot-first': 'A pilot through, then both faces',
  steps: 'In steps of growing size',
};
/** Adapters and extensions a bit may be put on. */
export const couplingChips = (couplings: readonly Coupling[]): readonly Chip<string>[] =>
  couplings.filter(({ retired }) => !retired).map(({ id, name }) => ({ value: id, label: name }));

/** What is chosen of how one cut is held, guided and fed, in a line. */
export function howSummary(one: Operation, couplings: readonly Coupling[]): string {
  const of = <V extends string>(chips: readonly Chip<V>[], value: V | undefined) =>
    chips.find((chip) => chip.value === value)?.label;
  const said = [
    of(HOLD_CHIPS, one.hold),
    of(START_CHIPS, one.start),
    of(PACE_CHIPS, one.pace),
    of(AID_CHIPS, one.feedAid),
    one.guide && operationsWords.guideBoard,
    of(couplingChips(couplings), one.couplingIds?.[0]),
  ].filter((text) => text !== undefined);
  return said.length > 0 ? said.join(', ') : operationsWords.asPlanned;
}

/** The solid leaves met from a face, by their place; empty where there is only one. */
export function leafChips(
  piece: Piece,
  custom: readonly Material[],
  face: Face,
): readonly Chip<number>[] {
  const leaves = leavesFrom(face, layersTo(custom, piece, piece.thicknessMm), piece.thicknessMm);
  const solid = leaves.filter(({ parts }) => parts.length > 0);
  return solid.length < 2
    ? []
    : solid.map(({ parts }, index) => ({
        value: index + 1,
        label: `${index + 1}. ${parts[0]?.material.name ?? ''}`,
      }));
}

/** What they are called where the hole’s purpose is known. */
const BY_PURPOSE: Readonly<Partial<Record<PurposeKind, Partial<Record<PresetId, string>>>>> = {
  'wall-plug': { 'one-face': 'Plug: the tile, then the block behind it' },
  pipe: {
    'one-face': 'Vent or pipe from this face',
    'both-faces': 'Vent or pipe from both faces',
    'pilot-first': 'Vent or pipe, a pilot through first',
  },
  'drain-flow': { 'one-face': 'Drain, the core broken out on the way' },
  drainage: { 'one-face': 'Drain, the core broken out on the way' },
  'bead-bore': { 'one-face': 'Bead from one end', 'both-faces': 'Bead, half from each end' },
  'hanging-cord': { steps: 'Pebble or pendant in steps' },
  'post-socket': { 'one-face': 'Railing socket, the core snapped and the wall roughened' },
};
export const presetChips = (
  presets: readonly OperationPreset[],
  purpose: string | undefined,
): readonly Chip<PresetId>[] => {
  const own = purpose !== undefined && isPurposeKind(purpose) ? BY_PURPOSE[purpose] : undefined;
  return presets.map(({ id }) => ({ value: id, label: own?.[id] ?? PRESET_NAMES[id] }));
};

/** The operations of a hole. */
export const operationsWords = {
  startFrom: 'Start from',
  operations: 'Operations',
  theOperations: 'the operations',
  suggested: 'Suggested from the setup. Change any of them and the list is your own.',
  yourOwn: 'Your own list.',
  backToSuggested: 'Back to suggested',
  add: 'Add an operation',
  addAfter: (title: string): string => `It goes after: ${title}.`,
  cancel: 'Cancel',
  moveUp: 'Move up',
  moveDown: 'Move down',
  moveUpOf: (title: string): string => `Move up: ${title}`,
  moveDownOf: (title: string): string => `Move down: ${title}`,
  dragOf: (title: string): string => `Drag, or arrow keys, to move: ${title}`,
  remove: 'Delete',
  removeOf: (title: string): string => `Delete: ${title}`,
  numbered: (n: number, title: string, detail: string): string =>
    `${n}. ${title}${detail ? `: ${detail}` : ''}`,
  bit: 'Bit, nearest in size first',
  machine: 'Machine',
  asPlanned: 'As planned',
  moreBits: (count: number): string => `${count} more bits`,
  face: 'From',
  from: 'From depth',
  to: 'To depth',
  water: 'Water',
  hammer: 'Hammer',
  helper: 'A second person',
  how: 'Held, guided, fed',
  leaf: 'Through which leaf',
  byDepth: 'By depth',
  hold: 'Held by',
  start: 'Started by',
  pace: 'Pace',
  guide: 'Guide',
  guideBoard: 'A guide board',
  feedAid: 'Fed by',
  coupling: 'On an adapter or extension',
  nobody: 'Nobody',
  cutting: 'Drilling',
  altogether: 'Altogether',
  odds: 'Cracks',
  doesNotCut: 'Does not cut',
  bits: 'Bits',
  steps: 'Step by step',
};
