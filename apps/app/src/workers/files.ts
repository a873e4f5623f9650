import { workersWords } from '@nucleon/core/words/screens/workers';
import { proxy, wrap } from 'comlink';
import type { FileInput, FileOutcome, FileTaskName, OnPage, Refused, Written } from './fileTasks';

/**
 * A file that takes longer than this to read is left: it is not one piece's edge and holes. Counted
 * from when the worker is there, for a busy machine may take seconds to open one.
 */
const READ_WITHIN_MS = 5000;
/** Opening, reading or writing, all told. */
const WITHIN_MS = 60_000;

export interface FilesJob<T extends FileTaskName> {
  readonly done: Promise<FileOutcome<T>>;
  readonly cancel: () => void;
}

/** One worker that does one thing and is ended. */
export interface FilesWorker {
  /** Answers when the worker is loaded. */
  readonly ready: () => Promise<void>;
  readonly run: <T extends FileTaskName>(
    task: T,
    input: FileInput<T>,
    onPage: OnPage,
  ) => Promise<FileOutcome<T>>;
  readonly end: () => void;
}

function openWorker(): FilesWorker {
  const worker = new Worker(new URL('./files.worker', import.meta.url));
  const fallen = new Promise<never>((_, reject) => {
    worker.onerror = reject;
  });
  const remote = wrap<Pick<FilesWorker, 'ready' | 'run'>>(worker);
  return {
    ready: () => Promise.race([remote.ready(), fallen]),
    // What comes back is what the task of that name returns.
    run: (task, input, onPage) =>
      Promise.race([remote.run(task, input, proxy(onPage)) as Promise<never>, fallen]),
    end: () => {
      worker.terminate();
    },
  };
}

export const blobOf = ({ bytes, mime }: Written): Blob =>
  new Blob([bytes as BlobPart], { type: mime });

const refused = (message: string): Refused => ({ kind: 'refused', message });

/**
 * Asks a worker of its own, which is ended when it has answered, is cancelled or takes too long: a
 * hostile file hangs nothing but itself.
 */
export function askFiles<T extends FileTaskName>(
  task: T,
  input: FileInput<T>,
  onPage: OnPage = () => undefined,
  open: () => FilesWorker = openWorker,
): FilesJob<T> {
  const worker = open();
  const reads = 'name' in input;
  let cancel = (): void => undefined;
  // Pages come through a port of their own, and one may arrive after the answer: it tells nothing new.
  let answered = false;
  const timers: ReturnType<typeof setTimeout>[] = [];
  const given = new Promise<FileOutcome<T>>((resolve) => {
    const leave = (message: string) => () => {
      resolve(refused(message));
    };
    cancel = leave(workersWords.cancelled);
    timers.push(setTimeout(leave(workersWords.itTookTooLong), WITHIN_MS));
    worker
      .ready()
      .then(() => {
        if (reads) {
          const tooLong = workersWords.tookLongerThanS(input.name, READ_WITHIN_MS / 1000);
          timers.push(setTimeout(leave(tooLong), READ_WITHIN_MS));
        }
        return worker.run(task, input, (done, of) => {
          if (!answered) {
            onPage(done, of);
          }
        });
      })
      .then(resolve, leave(workersWords.itCouldNotBe));
  });
  return {
    done: given.finally(() => {
      answered = true;
      for (const timer of timers) clearTimeout(timer);
      worker.end();
    }),
    cancel: () => {
      cancel();
    },
  };
}
