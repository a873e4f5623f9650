import { useQueryClient } from '@tanstack/react-query';
import { useWrite, type Write } from '../../api/useWrite';
import { useDisplay } from '../display/displayStore';

/** Something that lets this device in: all that is shown is read anew after it. @param enter tells who comes in */
export function useEntering(enter: () => Promise<string>): Write<void> {
  const client = useQueryClient();
  return useWrite(enter, {
    done: (name) => {
      const { person, setPerson } = useDisplay.getState();
      // Whoever signs in drills, until somebody says otherwise.
      if (person === '') setPerson(name);
      client.removeQueries({ predicate: ({ state }) => state.status === 'error' });
    },
  });
}
