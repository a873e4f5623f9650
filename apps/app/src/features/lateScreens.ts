import { knowWords } from '@nucleon/core/words/screens/know';
import { placeWords } from '@nucleon/core/words/screens/place';
import { lazyScreen } from '../ui/lazyScreen';

/** Large, and not where one begins. */
export const PlaceScreen = lazyScreen(placeWords.layOut, () => import('./place/PlaceScreen'));
export const KnowScreen = lazyScreen(knowWords.identifyPiece, () => import('./know/KnowScreen'));
