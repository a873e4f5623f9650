import type { RunEvent } from '@nucleon/core/documents/runEvent';
import { deviceId, nameDevice } from './device';
import { deleteDB, openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** One entry of a run as the device keeps it. */
export interface KeptEvent {
  readonly event: RunEvent;
  /** The server has it. */
  readonly sent: boolean;
  /** Why the server will not have it; it is not sent again until a person asks. */
  readonly refused: string | null;
}

/** A picture that waits for the server. */
export interface WaitingPhoto {
  readonly runId: string;
  readonly photoId: string;
  readonly picture: Blob;
  readonly refused: string | null;
}

interface BenchDb extends DBSchema {
  /** By run and event. */
  events: { key: [string, string]; value: KeptEvent & { readonly runId: string } };
  pictures: { key: string; value: WaitingPhoto };
  /** What this device is called, under `name`. */
  device: { key: string; value: string };
}

const NAME = 'nucleon-bench';
const VERSION = 1;
/** Before an answer the bytes are on the disk itself: neither a crash nor an empty battery takes them back. */
const ON_DISK = { durability: 'strict' } as const;

let opened: Promise<IDBPDatabase<BenchDb>> | undefined;

/** The device's record of what happens at the bench. @throws where the browser keeps nothing */
export function benchDb(): Promise<IDBPDatabase<BenchDb>> {
  opened ??= open().catch((error: unknown) => {
    opened = undefined;
    throw error;
  });
  return opened;
}

async function open(): Promise<IDBPDatabase<BenchDb>> {
  const db = await openDB<BenchDb>(NAME, VERSION, {
    upgrade: (fresh) => {
      fresh.createObjectStore('events');
      fresh.createObjectStore('pictures');
      fresh.createObjectStore('device');
    },
    blocking: () => {
      // A newer page wants to change it: the next use opens it anew.
      db.close();
      opened = undefined;
    },
    terminated: () => {
      opened = undefined;
    },
  });
  await nameOnce(db);
  await moveEvents(db);
  await movePictures(db);
  return db;
}

/** Writes entries of a run; they are on the disk when it returns. @throws where there is no room */
export async function writeEvents(runId: string, events: readonly KeptEvent[]): Promise<void> {
  const writing = (await benchDb()).transaction('events', 'readwrite', ON_DISK);
  await Promise.all([
    ...events.map((kept) => writing.store.put({ ...kept, runId }, [runId, kept.event.id])),
    writing.done,
  ]);
}

/** Writes a picture, or lets it go with null. @throws where there is no room */
export async function writePhoto(photoId: string, photo: WaitingPhoto | null): Promise<void> {
  const writing = (await benchDb()).transaction('pictures', 'readwrite', ON_DISK);
  await Promise.all([
    photo ? writing.store.put(photo, photoId) : writing.store.delete(photoId),
    writing.done,
  ]);
}

/** Who drives a run is told by this name: after a crash it is still the same device. */
async function nameOnce(db: IDBPDatabase<BenchDb>): Promise<void> {
  const name = await db.get('device', 'name');
  if (name !== undefined) {
    nameDevice(name);
    return;
  }
  const writing = db.transaction('device', 'readwrite', ON_DISK);
  await Promise.all([writing.store.put(deviceId(), 'name'), writing.done]);
}

/** Runs were once kept with the page's settings, an entry a key, where a crash could take the last of them. */
const OLD_KEY = /^nucleon\.run\.([^.]+)\./;

async function moveEvents(db: IDBPDatabase<BenchDb>): Promise<void> {
  const storage = globalThis.localStorage;
  const keys = Array.from({ length: storage.length }, (_, i) => storage.key(i) ?? '');
  const old = keys.filter((key) => OLD_KEY.test(key));
  if (old.length === 0) return;
  const writing = db.transaction('events', 'readwrite', ON_DISK);
  for (const key of old) {
    const runId = OLD_KEY.exec(key)?.[1] ?? '';
    const kept = JSON.parse(storage.getItem(key) ?? 'null') as Omit<KeptEvent, 'refused'> | null;
    if (kept) void writing.store.put({ ...kept, refused: null, runId }, [runId, kept.event.id]);
  }
  await writing.done;
  for (const key of old) storage.removeItem(key);
}

const OLD_PICTURES = 'nucleon-photos';

async function movePictures(db: IDBPDatabase<BenchDb>): Promise<void> {
  const old = await openDB<{ waiting: { key: string; value: WaitingPhoto } }>(OLD_PICTURES);
  if (old.objectStoreNames.contains('waiting')) {
    const photos = await old.getAll('waiting');
    const writing = db.transaction('pictures', 'readwrite', ON_DISK);
    for (const photo of photos) void writing.store.put({ ...photo, refused: null }, photo.photoId);
    await writing.done;
  }
  old.close();
  await deleteDB(OLD_PICTURES);
}
