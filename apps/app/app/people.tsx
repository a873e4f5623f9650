import { PeopleScreen } from '../src/features/people/PeopleScreen';

export default PeopleScreen;
