import { JoinScreen } from '../src/features/people/JoinScreen';

export default JoinScreen;
