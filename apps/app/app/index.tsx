import { JobsScreen } from '../src/features/jobs/JobsScreen';

export default JobsScreen;
