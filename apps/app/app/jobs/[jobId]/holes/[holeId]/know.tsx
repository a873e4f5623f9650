import { KnowScreen } from '../../../../../src/features/know/KnowScreen';

export default KnowScreen;
