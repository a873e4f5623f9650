import { useQueryClient } from '@tanstack/react-query';
import { useUndo } from '../../ui/undoStore';

/** Deletes a part of the kit and offers it back. */
export function useGone(close: () => void) {
  const client = useQueryClient();
  const showUndo = useUndo((state) => state.show);
  return async (
    name: string,
    remove: () => Promise<void>,
    restore: () => Promise<void>,
  ): Promise<void> => {
    const refresh = () => client.invalidateQueries();
    await remove();
    close();
    await refresh();
    showUndo({
      message: `Deleted “${name}” from your kit.`,
      undo: async () => {
        await restore();
        await refresh();
      },
    });
  };
}
