import { MaterialsScreen } from '../../../src/features/materials/MaterialsScreen';

export default MaterialsScreen;
