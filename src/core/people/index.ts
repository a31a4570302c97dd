export type { Door, DoorPerson } from './door';
export { refusalOf, RIGHTS, rightsOf, roleOf, ROLES, type Right, type Role } from './roles';
export { secretFault, waitAfter } from './lockout';
export {
  AUDIT_KINDS,
  type AuditKind,
  type AuditLine,
  type By,
  type Person,
  type Program,
  type Tablet,
} from './types';
