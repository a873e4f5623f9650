import { askFiles } from './files';
import type { FilesReply, FilesRequest } from './filesProtocol';

const request: FilesRequest = { kind: 'read', bytes: new Uint8Array(), name: 'plate.dxf' };

/** A worker whose answers the test gives by hand. */
function heldWorker() {
  const worker = {
    onmessage: null as ((event: { data: FilesReply }) => void) | null,
    onerror: null as (() => void) | null,
    postMessage: jest.fn(),
    terminate: jest.fn(),
  };
  return { worker, open: () => worker as unknown as Worker };
}

afterEach(() => {
  jest.useRealTimers();
});

it('asks, passes pages on, gives the answer and ends the worker', async () => {
  const { worker, open } = heldWorker();
  const pages: number[] = [];
  const { done } = askFiles(request, (page) => pages.push(page), open);
  expect(worker.postMessage).toHaveBeenCalledWith(request);
  worker.onmessage?.({ data: { kind: 'page', done: 1, of: 2 } });
  worker.onmessage?.({ data: { kind: 'refused', message: 'No.' } });
  await expect(done).resolves.toEqual({ kind: 'refused', message: 'No.' });
  expect(pages).toEqual([1]);
  expect(worker.terminate).toHaveBeenCalled();
});

it('leaves a drawing that takes longer than two seconds', async () => {
  jest.useFakeTimers();
  const { worker, open } = heldWorker();
  const { done } = askFiles(request, undefined, open);
  jest.advanceTimersByTime(2001);
  await expect(done).resolves.toMatchObject({
    kind: 'refused',
    message: expect.stringContaining('plate.dxf') as string,
  });
  expect(worker.terminate).toHaveBeenCalled();
});

it('can be cancelled, and survives a worker that breaks', async () => {
  const first = heldWorker();
  const asked = askFiles(request, undefined, first.open);
  asked.cancel();
  await expect(asked.done).resolves.toEqual({ kind: 'refused', message: 'Cancelled.' });
  const second = heldWorker();
  const broken = askFiles(request, undefined, second.open);
  second.worker.onerror?.();
  await expect(broken.done).resolves.toMatchObject({ kind: 'refused' });
});
