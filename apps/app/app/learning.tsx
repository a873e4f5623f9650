import { LearningScreen } from '../src/features/learning/LearningScreen';

export default LearningScreen;
