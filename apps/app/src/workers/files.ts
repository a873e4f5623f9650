import type { FilesReply, FilesRequest } from './filesProtocol';

/** A drawing that takes longer than this to read is left: it is not one piece's edge and holes. */
const READ_WITHIN_MS = 2000;
const WRITE_WITHIN_MS = 60_000;

export interface FilesJob {
  readonly done: Promise<FilesReply>;
  readonly cancel: () => void;
}

const openWorker = (): Worker => new Worker(new URL('./files.worker', import.meta.url));

/**
 * Asks a worker of its own, which is ended when it has answered, is cancelled or takes too long: a
 * hostile file hangs nothing but itself.
 */
export function askFiles(
  request: FilesRequest,
  onPage: (done: number, of: number) => void = () => undefined,
  open: () => Worker = openWorker,
): FilesJob {
  const worker = open();
  let cancel = (): void => undefined;
  const done = new Promise<FilesReply>((resolve) => {
    const end = (reply: FilesReply): void => {
      clearTimeout(timer);
      worker.terminate();
      resolve(reply);
    };
    cancel = () => {
      end({ kind: 'refused', message: 'Cancelled.' });
    };
    const timer = setTimeout(
      () => {
        end({
          kind: 'refused',
          message:
            'name' in request
              ? `“${request.name}” took longer than ${READ_WITHIN_MS / 1000} s to read and was left. Save less in one file.`
              : 'Writing it took too long and was stopped.',
        });
      },
      'name' in request ? READ_WITHIN_MS : WRITE_WITHIN_MS,
    );
    worker.onmessage = ({ data }: MessageEvent<FilesReply>) => {
      if (data.kind === 'page') onPage(data.done, data.of);
      else end(data);
    };
    worker.onerror = () => {
      end({ kind: 'refused', message: 'It could not be read or written here.' });
    };
    worker.postMessage(request);
  });
  return {
    done,
    cancel: () => {
      cancel();
    },
  };
}
