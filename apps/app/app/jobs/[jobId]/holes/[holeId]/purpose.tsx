import { PurposeScreen } from '../../../../../src/features/purpose/PurposeScreen';

export default PurposeScreen;
