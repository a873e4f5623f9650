import { IsNull, MoreThan, type DataSource } from 'typeorm';
import { doneByEither } from '../database/databaseErrors';
import type { ServerContext } from '../serverContext';
import { challengeEntity } from './peopleEntities';
import { hashOfToken } from './secrets';

/** So long a person may take to show a finger or type the device’s PIN. */
export const CHALLENGE_MS = 5 * 60 * 1000;

/** What devices are asked to sign; kept where every server of the database finds it, and answered once. */
export interface Challenges {
  /** @param personId whose new key it is for; null for signing in */
  readonly remember: (challenge: string, personId: string | null) => Promise<void>;
  /** Whether it was asked, of this person, and is answered for the first time. */
  readonly takes: (personId: string | null) => (challenge: string) => Promise<boolean>;
}

export const challengesIn = (source: DataSource, now: ServerContext['now']): Challenges => ({
  remember: async (challenge, personId) => {
    await doneByEither(source.query('DELETE FROM challenge WHERE until <= ?', [now()]));
    const until = new Date(now().getTime() + CHALLENGE_MS);
    await source.manager.insert(challengeEntity, { hash: hashOfToken(challenge), personId, until });
  },
  takes: (personId) => async (challenge) => {
    const asked = { hash: hashOfToken(challenge), personId: personId ?? IsNull() };
    const gone = await source.manager.delete(challengeEntity, { ...asked, until: MoreThan(now()) });
    return gone.affected === 1;
  },
});
