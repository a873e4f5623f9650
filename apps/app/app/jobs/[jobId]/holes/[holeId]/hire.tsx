import { HireScreen } from '../../../../../src/features/hire/HireScreen';

export default HireScreen;
