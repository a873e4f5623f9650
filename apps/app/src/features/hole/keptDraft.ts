import { dropFromDevice, keepOnDevice, keptOnDevice } from '../draft/keptOnDevice';
import type { Content } from './holeDraft';

/** A hole's unsaved edits. */
const KIND = 'draft';

export const keepDraft = (holeId: string, content: Content): void => {
  keepOnDevice(KIND, holeId, content);
};
export const dropDraft = (holeId: string): void => {
  dropFromDevice(KIND, holeId);
};
export const keptDraft = (holeId: string): Content | undefined =>
  keptOnDevice(KIND, holeId) as Content | undefined;
