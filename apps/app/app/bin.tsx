import { BinScreen } from '../src/features/bin/BinScreen';

export default BinScreen;
