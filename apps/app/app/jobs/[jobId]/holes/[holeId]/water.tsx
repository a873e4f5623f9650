import { WaterScreen } from '../../../../../src/features/water/WaterScreen';

export default WaterScreen;
