import { JobScreen } from '../../../src/features/job/JobScreen';

export default JobScreen;
