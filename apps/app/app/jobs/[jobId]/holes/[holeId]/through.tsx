import { ThroughScreen } from '../../../../../src/features/through/ThroughScreen';

export default ThroughScreen;
