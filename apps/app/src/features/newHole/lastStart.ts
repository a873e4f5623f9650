import { readAnswers, type Answers } from '@nucleon/core/advice/start/answers';
import { keepOnDevice, keptOnDevice } from '../draft/keptOnDevice';

/** What was last started, and the job it went to. */
export interface LastStart {
  readonly answers: Answers;
  readonly jobId: string;
}

const KIND = 'start';
const ID = 'last';

export const keepLastStart = (last: LastStart): void => {
  keepOnDevice(KIND, ID, last);
};

/** As much of it as still means something; null when nothing was started here. */
export function lastStart(): LastStart | null {
  const kept = keptOnDevice(KIND, ID) as Partial<LastStart> | undefined;
  if (typeof kept !== 'object' || typeof kept.jobId !== 'string') return null;
  const answers = readAnswers({ ...kept.answers });
  return answers.thing === undefined ? null : { answers, jobId: kept.jobId };
}
