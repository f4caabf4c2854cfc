export { AuditPage as default } from '../../src/features/data/AuditPage';
