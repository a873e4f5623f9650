export { KnowScreen as default } from '../../../../../src/features/lateScreens';
