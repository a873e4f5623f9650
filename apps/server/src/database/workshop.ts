import { askingNow } from '../people/asking';

/** Made by the first migration: the one of whoever does not sign in. */
export const THE_WORKSHOP_ID = '01900000-0000-7000-8000-000000000001';

/** Whose rows are asked for: the workshop of whoever asks. Every query of a workshop's own things names it. */
export const workshopNow = (): string => askingNow()?.workshopId ?? THE_WORKSHOP_ID;
