import { useQueryClient } from '@tanstack/react-query';
import { forgetAnswers } from '../../api/keptAnswers';
import { signOut } from '../../api/people';
import { useWrite, type Write } from '../../api/useWrite';
import { useDisplay } from '../display/displayStore';

/** Signs this device out. Runs that were not sent yet stay on it, and go out when somebody signs in. */
export function useLeaving(): Write<void> {
  const client = useQueryClient();
  return useWrite(async () => {
    await signOut();
    useDisplay.getState().setPerson('');
    await forgetAnswers(client);
  });
}
