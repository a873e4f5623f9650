import { HoleScreen } from '../../../../../src/features/hole/HoleScreen';

export default HoleScreen;
