import { kitWords } from '@nucleon/core/words/screens/kit';
import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { v7 as newId } from 'uuid';
import { asStored, putNew } from '../../api/newThings';
import { readAnew } from '../../api/readAnew';
import { useMayWork } from '../../ui/mayWork';
import { dropFromDevice } from '../draft/keptOnDevice';
import type { Part } from '../draft/merge';
import { useDraftSave, useVersionedDraft, type DraftHandle } from '../draft/useVersionedDraft';
import { oneDocument } from '../draft/versionedDraft';

/** A part of the kit as it is edited: its fields, and what the server keeps of it. */
export type KitContent<D> = D & { readonly id: string; readonly version: number };

interface KitRoom<D, S> {
  /** Its shelf on the device. */
  readonly kind: string;
  /** As the server has it; null for one that is new. */
  readonly stored: S | null;
  readonly fresh: D;
  readonly put: (id: string, body: D & { readonly version: number }) => Promise<S>;
  readonly restore: (id: string) => Promise<void>;
  /** Where a new one is put, and the list that shows it until the server has it. */
  readonly path: (id: string) => string;
  readonly showNew: (client: QueryClient, made: D & Stamped) => void;
  readonly onDone: () => void;
}

type Stamped = { readonly id: string; readonly version: number; readonly updatedAt: string };

export interface KitDraft<D> {
  readonly handle: DraftHandle<KitContent<D>>;
  readonly value: KitContent<D>;
  readonly change: (fields: Partial<D>) => void;
  /** New ones are written by a press, the others by themselves when typing rests. */
  readonly isNew: boolean;
  readonly nameFault: string | undefined;
  /** Done with it: a new one is written, with what is usual for what was left open; an old one closes once it is saved. */
  readonly save: (usual: Partial<D>) => Promise<void>;
  /** Without saving: what was typed is let go. */
  readonly close: () => void;
  readonly bringBack: () => Promise<void>;
}

const isKitContent = (kept: unknown): boolean => {
  const { id, version } = (kept ?? {}) as Partial<Part & { id: string }>;
  return typeof id === 'string' && typeof version === 'number';
};

/** What is said of it: without its stamp, and without what was left open. */
const known = (content: object): object =>
  Object.fromEntries(
    Object.entries(content).filter(
      ([key, value]) => value !== undefined && !['id', 'version', 'updatedAt'].includes(key),
    ),
  );

/** One part of the kit in a form: kept on the device until it is saved, with undo and merging. */
export function useKitDraft<D extends { readonly name?: string }, S extends KitContent<D>>({
  kind,
  stored,
  fresh,
  put,
  restore,
  path,
  showNew,
  onDone,
}: KitRoom<D, S>): KitDraft<D> {
  type Content = KitContent<D>;
  const client = useQueryClient();
  const [engine] = useState(() => oneDocument<Content>());
  const [first] = useState<Content>(() => ({ ...fresh, id: newId(), version: 0 }));
  const shelf = stored?.id ?? 'new';
  const handle = useVersionedDraft<Content>(
    {
      engine,
      kind,
      id: shelf,
      isContent: (kept): kept is Content => isKitContent(kept),
    },
    stored ?? first,
  );
  const { draft, dispatch } = handle;
  const isNew = stored === null;
  // A new one without a name gets the usual one.
  const nameFault = isNew || draft.now.name?.trim() ? undefined : kitWords.giveItName1;
  const { kind: saveKind } = draft.save;
  const mayWork = useMayWork();
  const close = (): void => {
    // What waits for the server is kept; what it will not have, or nobody wants, is let go.
    if (mayWork && (isNew || saveKind !== 'unreachable')) dropFromDevice(kind, shelf);
    onDone();
  };
  const [done, setDone] = useState(false);
  useEffect(() => {
    if (done && saveKind === 'saved') onDone();
  }, [done, saveKind, onDone]);
  const write = async (content: Content, version: number): Promise<S> => {
    const written = await put(content.id, { ...(known(content) as D), version });
    void readAnew(client);
    return written;
  };
  const make = async (content: Content): Promise<void> => {
    const fields = known(content) as D;
    if (await putNew({ path: path(content.id), body: { ...fields, version: 0 } }))
      void readAnew(client);
    else showNew(client, asStored({ ...fields, id: content.id }, new Date()));
  };
  useDraftSave(handle, {
    sound: !isNew && nameFault === undefined,
    read: (problem) => Promise.resolve(problem.body.current as Content),
    write: async ({ now, stored: base }, done) => {
      done(now, await write(now, base.version));
    },
  });
  return {
    handle,
    value: draft.now,
    isNew,
    nameFault,
    change: (fields) => {
      setDone(false);
      dispatch({
        type: 'edit',
        change: (now) => ({ ...now, ...fields }),
        group: Object.keys(fields).join(),
        atMs: Date.now(),
      });
    },
    save: async (usual) => {
      if (isNew) {
        await make({ ...draft.now, ...usual });
        close();
      } else setDone(true);
    },
    close,
    bringBack: async () => {
      await restore(draft.now.id);
      dispatch({ type: 'failed', save: { kind: 'waiting' } });
    },
  };
}
