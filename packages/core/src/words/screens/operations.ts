import { HELPS, OPERATION_KIND_IDS, OPERATION_KINDS, type Help } from '../../data/operations';
import type { OperationPreset, PresetId } from '../../advice/operationPresets';
import { HELP_WORDS } from '../plan/helpWords';
import type { Chip } from './choiceChips';

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
export const presetChips = (presets: readonly OperationPreset[]): readonly Chip<PresetId>[] =>
  presets.map(({ id }) => ({ value: id, label: PRESET_NAMES[id] }));

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
  asPlanned: 'As the plan has it',
  moreBits: (count: number): string => `${count} more bits`,
  face: 'From',
  from: 'From depth',
  to: 'To depth',
  water: 'Water',
  hammer: 'Hammer',
  helper: 'A second person',
  nobody: 'Nobody',
  cutting: 'Drilling',
  altogether: 'Altogether',
  odds: 'Cracks',
  doesNotCut: 'Does not cut',
  bits: 'Bits',
  steps: 'Step by step',
};
