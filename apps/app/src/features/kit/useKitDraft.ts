import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { ApiProblem } from '../../api/problem';
import { dropFromDevice } from '../draft/keptOnDevice';
import type { Part } from '../draft/merge';
import { useVersionedDraft, type DraftHandle } from '../draft/useVersionedDraft';
import { versionedDraft } from '../draft/versionedDraft';

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
  readonly onDone: () => void;
}

export interface KitDraft<D> {
  readonly handle: DraftHandle<KitContent<D>>;
  readonly value: KitContent<D>;
  readonly change: (fields: Partial<D>) => void;
  /** Writes it, with what else it is to be given; where someone else was first, put together with theirs. */
  readonly save: (last?: Partial<D>) => Promise<void>;
  /** Without saving: what was typed is let go. */
  readonly close: () => void;
  readonly bringBack: () => Promise<void>;
}

const isKitContent = (kept: unknown): boolean => {
  const { id, version } = (kept ?? {}) as Partial<Part & { id: string }>;
  return typeof id === 'string' && typeof version === 'number';
};

/** One part of the kit in a form: kept on the device until it is saved, with undo and merging. */
export function useKitDraft<D extends object, S extends KitContent<D>>({
  kind,
  stored,
  fresh,
  put,
  restore,
  onDone,
}: KitRoom<D, S>): KitDraft<D> {
  type Content = KitContent<D>;
  const client = useQueryClient();
  const [engine] = useState(() =>
    versionedDraft<Content>({
      partsOf: (content) => new Map<string, Part>([['part', content]]),
      contentOf: (parts) => parts.get('part') as Content,
    }),
  );
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
  const close = (): void => {
    dropFromDevice(kind, shelf);
    onDone();
  };
  const write = async (content: Content, version: number): Promise<void> => {
    const {
      id,
      version: _version,
      updatedAt: _at,
      ...fields
    } = content as Content & {
      readonly updatedAt?: string;
    };
    const known = Object.fromEntries(
      Object.entries(fields).filter(([, value]) => value !== undefined),
    ) as unknown as D;
    await put(id, { ...known, version });
    await client.invalidateQueries();
    close();
  };
  return {
    handle,
    value: draft.now,
    change: (fields) => {
      dispatch({
        type: 'edit',
        change: (now) => ({ ...now, ...fields }),
        group: Object.keys(fields).join(),
        atMs: Date.now(),
      });
    },
    save: async (last = {}) => {
      const content = { ...draft.now, ...last };
      try {
        await write(content, draft.stored.version);
      } catch (error) {
        if (!(error instanceof ApiProblem)) throw error;
        if (error.body.code === 'gone') {
          dispatch({ type: 'failed', save: { kind: 'gone', message: error.body.detail } });
          return;
        }
        if (error.body.code !== 'conflict') throw error;
        const theirs = error.body.current as Content;
        const merged = engine.reduce({ ...draft, now: content }, { type: 'heard', stored: theirs });
        dispatch({ type: 'heard', stored: theirs });
        if (merged.save.kind !== 'conflict') await write(merged.now, theirs.version);
      }
    },
    close,
    bringBack: async () => {
      await restore(draft.now.id);
      dispatch({ type: 'failed', save: { kind: 'waiting' } });
    },
  };
}
