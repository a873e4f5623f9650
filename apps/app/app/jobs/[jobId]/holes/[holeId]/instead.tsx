import { InsteadScreen } from '../../../../../src/features/instead/InsteadScreen';

export default InsteadScreen;
