#!/usr/bin/env node
import { register } from 'tsx/esm/api';
import { readDrawingInThread } from './drawingThread.mjs';

register();
const { main } = await import('../src/main.ts');
process.exitCode = await main(process.argv.slice(2), {
  out: (text) => process.stdout.write(`${text}\n`),
  err: (text) => process.stderr.write(`${text}\n`),
  readDrawing: readDrawingInThread,
  keeper: {
    backUp: async (...asked) => (await import('./keeper.mjs')).keeper.backUp(...asked),
    restore: async (...asked) => (await import('./keeper.mjs')).keeper.restore(...asked),
  },
});
