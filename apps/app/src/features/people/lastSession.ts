import type { Session } from '@nucleon/contract/people';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

/** Who this device was when the server last said so: what it opens as without a server. */
interface LastSession {
  readonly session: Session | null;
  readonly keep: (session: Session) => void;
}

const KINDS: readonly Session['kind'][] = ['local', 'nobody', 'person', 'share'];
const isSession = (kept: unknown): kept is Session =>
  typeof kept === 'object' &&
  kept !== null &&
  KINDS.some((kind) => kind === (kept as Partial<Session>).kind);

export const useLastSession = create<LastSession>()(
  persist(
    (set) => ({
      session: null,
      keep: (session) => {
        set({ session });
      },
    }),
    {
      name: 'nucleon.session',
      storage: createJSONStorage(() => globalThis.localStorage),
      partialize: ({ session }) => ({ session }),
      merge: (kept, fresh) => {
        const { session } = (kept ?? {}) as Partial<LastSession>;
        return isSession(session) ? { ...fresh, session } : fresh;
      },
    },
  ),
);
