import { lazyScreen } from '../../../../../src/ui/lazyScreen';

export default lazyScreen(() => import('../../../../../src/features/know/KnowScreen'));
