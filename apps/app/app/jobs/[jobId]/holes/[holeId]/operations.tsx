import { OperationsScreen } from '../../../../../src/features/operations/OperationsScreen';

export default OperationsScreen;
