import { ReadyScreen } from '../../../../../src/features/ready/ReadyScreen';

export default ReadyScreen;
