import { useQueryClient } from '@tanstack/react-query';
import { usePathname } from 'expo-router';
import { useEffect, type ReactNode } from 'react';
import { useNews } from '../../api/useNews';
import { fetchWorkshop } from '../../api/keptAnswers';
import { MayWork } from '../../ui/mayWork';
import { SignInScreen } from './SignInScreen';
import { UnlockScreen } from './UnlockScreen';
import { mayWork, useSession } from './useSession';

/** What is opened by a link, by whoever has it. */
const BY_LINK = ['/join', '/shown'];

/** Shows the app to those who may see it, and asks the others who they are; what they came for stands behind it. */
export function WhoIsHere({ children }: { readonly children: ReactNode }) {
  const session = useSession();
  const path = usePathname();
  const client = useQueryClient();
  const isIn = session?.kind === 'local' || (session?.kind === 'person' && !session.locked);
  useEffect(() => {
    if (isIn) fetchWorkshop(client);
  }, [client, isIn]);
  useNews(isIn || session?.kind === 'share');
  if (session === null) return null;
  if (BY_LINK.includes(path)) return children;
  if (session.kind === 'nobody') return <SignInScreen first={session.first} />;
  if (session.kind === 'person' && session.locked) return <UnlockScreen name={session.name} />;
  return <MayWork.Provider value={mayWork(session)}>{children}</MayWork.Provider>;
}
