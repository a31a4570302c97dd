import type { BowRecord } from '@/core/bow';
import { MM_PER_INCH, N_PER_POUND } from '@/core/units';
import { measure, optional, plainNumber, type CellKind, type Column } from '../csv';

export type BowField = Exclude<keyof BowRecord, 'riserAngleDeg' | 'brought' | 'untold'>;

export interface BowColumn extends Column<BowRecord> {
  readonly field: BowField;
}

export const inch = (min: number, max: number) =>
  measure('length', { min: min * MM_PER_INCH, max: max * MM_PER_INCH }, MM_PER_INCH);
export const pound = (min: number, max: number) =>
  measure('force', { min: min * N_PER_POUND, max: max * N_PER_POUND }, N_PER_POUND);
export const percent = plainNumber({ min: 0, max: 95 }, { factor: 0.01, decimals: 1 });

export const column = <F extends BowField>(
  header: string,
  field: F,
  name: string,
  kind: CellKind<BowRecord[F]>,
  about: string,
  example: string,
  required = true,
): BowColumn => ({
  header,
  field,
  name,
  about,
  kind: kind as CellKind<unknown>,
  required,
  example,
  get: (bow) => bow[field],
  put: (draft, value) => void (draft[field] = value),
});

// Branded quantities are numbers in a cell.
export const as = <T>(kind: CellKind<number>) => kind as unknown as CellKind<T>;
export const asNull = <T>(kind: CellKind<number>) => optional(kind) as unknown as CellKind<T>;
export const asList = <T>(kind: unknown) => kind as CellKind<T>;
