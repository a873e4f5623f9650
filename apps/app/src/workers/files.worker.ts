import { readBitsCsv, writeBitsCsv } from '@nucleon/files/bitsCsv';
import { writeJobPack } from '@nucleon/files/jobPack';
import { readDrawing } from '@nucleon/files/readDrawing';
import { readRunsCsv, writeRunsCsv } from '@nucleon/files/runsCsv';
import { writeDxf } from '@nucleon/files/writeDxf';
import { writePdf } from '@nucleon/files/writePdf';
import { writeSvg } from '@nucleon/files/writeSvg';
import { v5 as nameId, v7 as newId } from 'uuid';
import type { FilesReply, FilesRequest } from './filesProtocol';

const say = (reply: FilesReply): void => {
  (globalThis as unknown as { postMessage: (message: FilesReply) => void }).postMessage(reply);
};

/** Ids of rows in lists: the same row is always the same run. */
const LIST_IDS = '6f0c8c52-5b0e-4c3e-9a55-0d1f6a6c2b11';

/** Reads and writes drawings off the page's thread. */
globalThis.onmessage = ({ data }: MessageEvent<FilesRequest>): void => {
  answer(data).catch((error: unknown) => {
    say({ kind: 'refused', message: error instanceof Error ? error.message : String(error) });
  });
};

async function answer(request: FilesRequest): Promise<void> {
  if (request.kind === 'read-bits') {
    const text = new TextDecoder('utf-8').decode(request.bytes);
    say({ kind: 'bits', outcome: readBitsCsv(text, request.owned, () => newId()) });
    return;
  }
  if (request.kind === 'write-bits') {
    const bytes = new TextEncoder().encode(writeBitsCsv(request.bits));
    say({ kind: 'written', bytes, mime: 'text/csv' });
    return;
  }
  if (request.kind === 'write-runs') {
    const bytes = new TextEncoder().encode(writeRunsCsv(request.runs));
    say({ kind: 'written', bytes, mime: 'text/csv' });
    return;
  }
  if (request.kind === 'read-runs') {
    const text = new TextDecoder('utf-8').decode(request.bytes);
    say({ kind: 'runs', outcome: readRunsCsv(text, (row) => nameId(row, LIST_IDS)) });
    return;
  }
  if (request.kind === 'write-pack') {
    const pack = await writeJobPack(request.job, {
      paper: request.paper,
      units: request.units,
      now: new Date(),
      cardsOnly: request.cardsOnly,
      onPage: (done, of) => {
        say({ kind: 'page', done, of });
        return true;
      },
    });
    if (pack.kind === 'written')
      say({ kind: 'written', bytes: pack.bytes, mime: 'application/pdf' });
    else say({ kind: 'refused', message: pack.kind === 'refused' ? pack.message : 'Cancelled.' });
    return;
  }
  if (request.kind === 'read') {
    say({ kind: 'read', outcome: readDrawing(request.bytes, request.name) });
    return;
  }
  const { format, sheet, paper, mirrored, units } = request;
  const text = (content: string, mime: string): void => {
    say({ kind: 'written', bytes: new TextEncoder().encode(content), mime });
  };
  switch (format) {
    case 'dxf':
      text(writeDxf(sheet), 'image/vnd.dxf');
      return;
    case 'svg':
      text(writeSvg(sheet), 'image/svg+xml');
      return;
    case 'pdf': {
      const onPage = (done: number, of: number): boolean => {
        say({ kind: 'page', done, of });
        return true;
      };
      const written = await writePdf(sheet, { paper, mirrored, units, onPage });
      if (written.kind === 'written')
        say({ kind: 'written', bytes: written.bytes, mime: 'application/pdf' });
      else
        say({
          kind: 'refused',
          message: written.kind === 'refused' ? written.message : 'Cancelled.',
        });
    }
  }
}
