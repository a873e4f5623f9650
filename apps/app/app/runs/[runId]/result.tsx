import { ResultScreen } from '../../../src/features/result/ResultScreen';

export default ResultScreen;
