import { ChooseScreen } from '../../../../../src/features/choose/ChooseScreen';

export default ChooseScreen;
