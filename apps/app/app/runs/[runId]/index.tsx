import { RunScreen } from '../../../src/features/run/RunScreen';

export default RunScreen;
