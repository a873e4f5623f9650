import { NotFoundScreen } from '../src/ui/NotFoundScreen';

export default NotFoundScreen;
