import { PlaceScreen } from '../../../../../src/features/place/PlaceScreen';

export default PlaceScreen;
