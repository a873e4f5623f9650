import { NewHoleScreen } from '../src/features/newHole/NewHoleScreen';

export default NewHoleScreen;
