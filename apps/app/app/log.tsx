import { LogScreen } from '../src/features/log/LogScreen';

export default LogScreen;
