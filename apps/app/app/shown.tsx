import { ShownScreen } from '../src/features/people/ShownScreen';

export default ShownScreen;
