import { placeWords } from '@nucleon/core/words/screens/place';
import type { KeepOffKind } from '@nucleon/core/data/choices';
import type { ServiceKind } from '@nucleon/core/data/services';
import type { KeepOffShape } from '@nucleon/core/documents/piece';
import type { Chip } from '@nucleon/core/words/screens/choiceChips';

/** What touching the plan does. */
export type Tool = 'move' | 'add' | 'keep-off' | 'scan' | 'outline' | 'photo';

export const TOOL_CHIPS: readonly Chip<Tool>[] = [
  { value: 'move', label: placeWords.move },
  { value: 'add', label: placeWords.addHoles },
  { value: 'keep-off', label: placeWords.keepClear },
  { value: 'scan', label: placeWords.scan },
  { value: 'outline', label: placeWords.outline },
  { value: 'photo', label: placeWords.photo },
];

export const KEEP_OFF_CHIPS: readonly Chip<KeepOffKind>[] = [
  { value: 'handle', label: placeWords.handle },
  { value: 'rib', label: placeWords.rib },
  { value: 'curve', label: placeWords.sharpCurve },
  { value: 'crack', label: placeWords.crack },
  { value: 'hole', label: placeWords.holeThatIsThere },
  { value: 'cut-out', label: placeWords.cutOut },
];

export const SHAPE_CHIPS: readonly Chip<KeepOffShape['kind']>[] = [
  { value: 'circle', label: placeWords.round },
  { value: 'rectangle', label: placeWords.box },
  { value: 'line', label: placeWords.line },
];

export const SERVICE_CHIPS: readonly Chip<ServiceKind>[] = [
  { value: 'pipe', label: placeWords.pipe },
  { value: 'cable', label: placeWords.cable },
  { value: 'bar', label: placeWords.bar },
  { value: 'unknown', label: placeWords.notKnown },
];
