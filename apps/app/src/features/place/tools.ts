import type { KeepOffKind } from '@nucleon/core/data/choices';
import type { ServiceKind } from '@nucleon/core/data/services';
import type { KeepOffShape } from '@nucleon/core/documents/piece';
import type { Chip } from '../../ui/Chips';

/** What touching the plan does. */
export type Tool = 'move' | 'add' | 'keep-off' | 'scan' | 'outline' | 'photo';

export const TOOL_CHIPS: readonly Chip<Tool>[] = [
  { value: 'move', label: 'Move' },
  { value: 'add', label: 'Add holes' },
  { value: 'keep-off', label: 'Keep clear' },
  { value: 'scan', label: 'Scan' },
  { value: 'outline', label: 'Outline' },
  { value: 'photo', label: 'Photo' },
];

export const KEEP_OFF_CHIPS: readonly Chip<KeepOffKind>[] = [
  { value: 'handle', label: 'Handle' },
  { value: 'rib', label: 'Rib' },
  { value: 'curve', label: 'Sharp curve' },
  { value: 'crack', label: 'Crack' },
  { value: 'hole', label: 'Hole that is there' },
  { value: 'cut-out', label: 'Cut-out' },
];

export const SHAPE_CHIPS: readonly Chip<KeepOffShape['kind']>[] = [
  { value: 'circle', label: 'Round' },
  { value: 'rectangle', label: 'Box' },
  { value: 'line', label: 'Line' },
];

export const SERVICE_CHIPS: readonly Chip<ServiceKind>[] = [
  { value: 'pipe', label: 'Pipe' },
  { value: 'cable', label: 'Cable' },
  { value: 'bar', label: 'Bar' },
  { value: 'unknown', label: 'Not known' },
];
