import { HeldScreen } from '../../../../../src/features/held/HeldScreen';

export default HeldScreen;
