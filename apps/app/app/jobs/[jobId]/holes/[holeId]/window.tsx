import { WindowScreen } from '../../../../../src/features/window/WindowScreen';

export default WindowScreen;
