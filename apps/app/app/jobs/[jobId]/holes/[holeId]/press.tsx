import { PressScreen } from '../../../../../src/features/press/PressScreen';

export default PressScreen;
