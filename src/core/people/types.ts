import type { Right, Role } from './roles';

/** Somebody who works here, or did. */
export interface Person {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  /** The calendar plans work for them. */
  readonly atBench: boolean;
  /** Has a PIN or password, and so can sign in. */
  readonly canSignIn: boolean;
  /** When they left; null while they work here. */
  readonly leftAt: string | null;
}

/** A browser the shop knows. */
export interface Tablet {
  readonly id: string;
  readonly name: string;
  readonly pairedBy: string;
  readonly pairedAt: string;
  readonly seenAt: string;
  readonly sentAwayAt: string | null;
}

/** Another program that may ask. */
export interface Program {
  readonly id: string;
  readonly name: string;
  readonly rights: readonly Right[];
  readonly madeBy: string;
  readonly madeAt: string;
  readonly usedAt: string | null;
  readonly endedAt: string | null;
}

/** Who makes an entry, and from where. */
export interface By {
  readonly name: string;
  /** Null of a program. */
  readonly role: Role | null;
  readonly rights: readonly Right[];
  /** Name of the tablet; of a program "Program". */
  readonly tablet: string;
}

/** One line of what was done. */
export interface AuditLine {
  readonly id: number;
  readonly at: string;
  readonly who: string;
  readonly tablet: string;
  readonly kind: AuditKind;
  readonly what: string;
  /** What was sent, or what stood there before and after; null where the words say all. */
  readonly detail: unknown;
  /** Of an entry on a job: its ticket. */
  readonly job: { readonly id: string; readonly number: number } | null;
}

export const AUDIT_KINDS = [
  { id: 'entry', name: 'Entries on jobs' },
  { id: 'sign-in', name: 'Signing in' },
  { id: 'people', name: 'People and tablets' },
  { id: 'settings', name: 'Settings' },
  { id: 'stock', name: 'Stock and orders' },
  { id: 'calendar', name: 'Calendar' },
  { id: 'out', name: 'Backups and exports' },
] as const;

export type AuditKind = (typeof AUDIT_KINDS)[number]['id'];
