import { AppRoot } from '../src/ui/AppRoot';

export default AppRoot;
