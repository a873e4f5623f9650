import { KitScreen } from '../src/features/kit/KitScreen';

export default KitScreen;
