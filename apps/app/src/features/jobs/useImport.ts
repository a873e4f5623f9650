import type { JobImported } from '@nucleon/contract/wire';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { v7 as newId } from 'uuid';
import { importJob } from '../../api/jobs';
import { readAnew } from '../../api/readAnew';

/** A file that is being opened as a job, under an id of its own from the first try to the last. */
interface Opening {
  readonly file: File;
  readonly jobId: string;
}

export type ImportState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'busy'; readonly seconds: number }
  | { readonly kind: 'stopped' }
  | { readonly kind: 'failed'; readonly error: unknown }
  | { readonly kind: 'opened'; readonly imported: JobImported };

export interface Import {
  readonly state: ImportState;
  /** What the file is called. */
  readonly name: string;
  readonly open: (file: File) => void;
  /** The same once more: whatever came of the last try, there is one job in the end. */
  readonly again: () => void;
  readonly cancel: () => void;
}

/** Opens a job file, however long it takes: how long so far is told, it may be stopped, and tried again. */
export function useImport(done: (imported: JobImported) => void): Import {
  const client = useQueryClient();
  const [state, setState] = useState<ImportState>({ kind: 'idle' });
  const [opening, setOpening] = useState<Opening | null>(null);
  const stop = useRef<AbortController | null>(null);
  useEffect(() => () => stop.current?.abort(), []);
  const busy = state.kind === 'busy';
  useEffect(() => {
    if (!busy) return undefined;
    const timer = setInterval(() => {
      setState((now) => (now.kind === 'busy' ? { ...now, seconds: now.seconds + 1 } : now));
    }, 1000);
    return () => {
      clearInterval(timer);
    };
  }, [busy]);

  const run = async ({ file, jobId }: Opening): Promise<void> => {
    const mine = new AbortController();
    stop.current = mine;
    setState({ kind: 'busy', seconds: 0 });
    const type = file.name.endsWith('.zip') ? 'application/zip' : 'application/json';
    try {
      const imported = await importJob(new Blob([file], { type }), jobId, mine.signal);
      setState({ kind: 'opened', imported });
      done(imported);
    } catch (error) {
      setState(mine.signal.aborted ? { kind: 'stopped' } : { kind: 'failed', error });
    }
    await readAnew(client);
  };
  return {
    state,
    name: opening?.file.name ?? '',
    open: (file) => {
      const fresh = { file, jobId: newId() };
      setOpening(fresh);
      void run(fresh);
    },
    again: () => {
      if (opening) void run(opening);
    },
    cancel: () => {
      stop.current?.abort();
    },
  };
}
