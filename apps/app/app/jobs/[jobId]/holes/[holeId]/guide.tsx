import { GuideScreen } from '../../../../../src/features/guide/GuideScreen';

export default GuideScreen;
