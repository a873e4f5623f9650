import { askFiles, type FilesWorker } from './files';
import type { FileOutcome, OnPage } from './fileTasks';

const plate = { bytes: new Uint8Array(), name: 'plate.dxf' };

/** A worker, loaded unless said, whose answers the test gives by hand. */
function heldWorker(loaded: Promise<void> = Promise.resolve()) {
  const end = jest.fn();
  const ready = () => loaded;
  const held: {
    answer: (outcome: FileOutcome<'readDrawing'>) => void;
    breakDown: () => void;
    onPage: OnPage;
  } = { answer: () => undefined, breakDown: () => undefined, onPage: () => undefined };
  const run = jest.fn((_task, _input, onPage: OnPage) => {
    held.onPage = onPage;
    return new Promise((resolve, reject) => {
      held.answer = resolve;
      held.breakDown = reject;
    });
  });
  return { held, run, end, open: () => ({ ready, run, end }) as unknown as FilesWorker };
}

/** What is promised already is done. */
const settled = () => new Promise((resolve) => setTimeout(resolve, 0));

afterEach(() => {
  jest.useRealTimers();
});

it('asks, passes pages on, gives the answer, ends the worker and hears no page after', async () => {
  const { held, run, end, open } = heldWorker();
  const pages: number[] = [];
  const { done } = askFiles('readDrawing', plate, (page) => pages.push(page), open);
  await settled();
  expect(run).toHaveBeenCalledWith('readDrawing', plate, expect.any(Function));
  held.onPage(1, 2);
  held.answer({ kind: 'refused', message: 'No.' });
  await expect(done).resolves.toEqual({ kind: 'refused', message: 'No.' });
  held.onPage(2, 2);
  expect(pages).toEqual([1]);
  expect(end).toHaveBeenCalled();
});

it('leaves a file that takes longer than five seconds, once the worker is there', async () => {
  jest.useFakeTimers();
  let load = (): void => undefined;
  const { run, end, open } = heldWorker(new Promise((resolve) => (load = resolve)));
  const { done } = askFiles('readDrawing', plate, undefined, open);
  await jest.advanceTimersByTimeAsync(8000);
  expect(run).not.toHaveBeenCalled();
  load();
  await jest.advanceTimersByTimeAsync(4999);
  expect(end).not.toHaveBeenCalled();
  await jest.advanceTimersByTimeAsync(1);
  await expect(done).resolves.toMatchObject({
    kind: 'refused',
    message: expect.stringContaining('plate.dxf') as string,
  });
  expect(end).toHaveBeenCalled();
});

it('leaves a worker that never loads', async () => {
  jest.useFakeTimers();
  const { done } = askFiles(
    'readDrawing',
    plate,
    undefined,
    heldWorker(new Promise(() => undefined)).open,
  );
  await jest.advanceTimersByTimeAsync(60_000);
  await expect(done).resolves.toEqual({
    kind: 'refused',
    message: 'It took too long and was stopped.',
  });
});

it('can be cancelled, and survives a worker that breaks', async () => {
  const asked = askFiles('readDrawing', plate, undefined, heldWorker().open);
  asked.cancel();
  await expect(asked.done).resolves.toEqual({ kind: 'refused', message: 'Cancelled.' });
  const { held, open } = heldWorker();
  const broken = askFiles('readDrawing', plate, undefined, open);
  await settled();
  held.breakDown();
  await expect(broken.done).resolves.toMatchObject({ kind: 'refused' });
});
