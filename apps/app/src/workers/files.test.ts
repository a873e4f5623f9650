import { askFiles, type FilesWorker } from './files';
import type { FileOutcome, OnPage } from './fileTasks';

const plate = { bytes: new Uint8Array(), name: 'plate.dxf' };

/** A worker whose answers the test gives by hand. */
function heldWorker() {
  const end = jest.fn();
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
  return { held, run, end, open: () => ({ run, end }) as unknown as FilesWorker };
}

afterEach(() => {
  jest.useRealTimers();
});

it('asks, passes pages on, gives the answer, ends the worker and hears no page after', async () => {
  const { held, run, end, open } = heldWorker();
  const pages: number[] = [];
  const { done } = askFiles('readDrawing', plate, (page) => pages.push(page), open);
  expect(run).toHaveBeenCalledWith('readDrawing', plate, expect.any(Function));
  held.onPage(1, 2);
  held.answer({ kind: 'refused', message: 'No.' });
  await expect(done).resolves.toEqual({ kind: 'refused', message: 'No.' });
  held.onPage(2, 2);
  expect(pages).toEqual([1]);
  expect(end).toHaveBeenCalled();
});

it('leaves a drawing that takes longer than two seconds', async () => {
  jest.useFakeTimers();
  const { end, open } = heldWorker();
  const { done } = askFiles('readDrawing', plate, undefined, open);
  jest.advanceTimersByTime(2001);
  await expect(done).resolves.toMatchObject({
    kind: 'refused',
    message: expect.stringContaining('plate.dxf') as string,
  });
  expect(end).toHaveBeenCalled();
});

it('can be cancelled, and survives a worker that breaks', async () => {
  const asked = askFiles('readDrawing', plate, undefined, heldWorker().open);
  asked.cancel();
  await expect(asked.done).resolves.toEqual({ kind: 'refused', message: 'Cancelled.' });
  const { held, open } = heldWorker();
  const broken = askFiles('readDrawing', plate, undefined, open);
  held.breakDown();
  await expect(broken.done).resolves.toMatchObject({ kind: 'refused' });
});
