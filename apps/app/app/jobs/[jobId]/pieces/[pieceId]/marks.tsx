import { MarksScreen } from '../../../../../src/features/marks/MarksScreen';

export default MarksScreen;
