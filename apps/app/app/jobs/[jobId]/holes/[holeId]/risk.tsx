import { RiskScreen } from '../../../../../src/features/risk/RiskScreen';

export default RiskScreen;
