import { AuditScreen } from '../src/features/people/AuditScreen';

export default AuditScreen;
