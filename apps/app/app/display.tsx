import { DisplayScreen } from '../src/features/display/DisplayScreen';

export default DisplayScreen;
