/** Reads a drawing in a thread of its own, with an end to its time and memory. */
import { Worker, isMainThread, parentPort, workerData } from 'node:worker_threads';
import { fileURLToPath } from 'node:url';

const WITHIN_MS = 2000;
const LARGEST_HEAP_MB = 512;

/** @returns {Promise<import('@nucleon/files/drawnFile').ReadOutcome>} */
export function readDrawingInThread(bytes, name) {
  return new Promise((resolve) => {
    const refuse = (message) => resolve({ kind: 'refused', message });
    const worker = new Worker(fileURLToPath(import.meta.url), {
      workerData: { bytes, name },
      resourceLimits: { maxOldGenerationSizeMb: LARGEST_HEAP_MB },
    });
    let late;
    worker.on('message', (message) => {
      if (message === 'begun')
        late = setTimeout(() => {
          refuse(
            `“${name}” took longer than ${WITHIN_MS / 1000} s to read and was left. Save less in one file.`,
          );
          void worker.terminate();
        }, WITHIN_MS);
      else resolve(message);
    });
    worker.on('error', (error) =>
      refuse(
        error.code === 'ERR_WORKER_OUT_OF_MEMORY'
          ? `“${name}” wants more memory than one piece’s drawing does and was left. Save less in one file.`
          : `“${name}” cannot be read: ${error.message.slice(0, 120)}.`,
      ),
    );
    worker.on('exit', () => {
      clearTimeout(late);
      refuse(`“${name}” could not be read.`);
    });
  });
}

if (!isMainThread) {
  const { register } = await import('tsx/esm/api');
  register();
  const { readDrawing } = await import('@nucleon/files/readDrawing');
  parentPort.postMessage('begun');
  parentPort.postMessage(readDrawing(workerData.bytes, workerData.name));
}
