export { PlaceScreen as default } from '../../../../../src/features/lateScreens';
