import { CompareScreen } from '../../../../../src/features/compare/CompareScreen';

export default CompareScreen;
