import { lazyScreen } from '../ui/lazyScreen';

/** Large, and not where one begins. */
export const PlaceScreen = lazyScreen(() => import('./place/PlaceScreen'));
export const KnowScreen = lazyScreen(() => import('./know/KnowScreen'));
