import type { AttrsOf, PartKind } from '@/core/kit';
import { oneOf, optional, plainNumber, type CellKind } from '../csv';

/** One attribute of a kind of part, as it stands in a file and a form. */
export interface AttrColumn {
  readonly attr: string;
  readonly header: string;
  readonly name: string;
  readonly about: string;
  readonly kind: CellKind<unknown>;
  readonly required: boolean;
  readonly example: string;
}

/** Branded quantities are numbers in a cell. */
type Plain<T> = T extends number ? number : T;
type Kind<T> = CellKind<Plain<T>>;

/** An attribute by its name in the record, checked against its kind of part. */
export const attr = <K extends PartKind, A extends keyof AttrsOf[K] & string>(
  _kind: K,
  name: A,
  header: string,
  label: string,
  kind: Kind<AttrsOf[K][A]>,
  about: string,
  example: string,
  required = true,
): AttrColumn => ({
  attr: name,
  header,
  name: label,
  about,
  kind: kind as unknown as CellKind<unknown>,
  required,
  example,
});

export const mm = (min: number, max: number, decimals = 2) =>
  plainNumber({ min, max }, { decimals });
export const count = (min: number, max: number) => plainNumber({ min, max }, { whole: true });
export const mmOrNot = (min: number, max: number) => optional(mm(min, max));
export const thread = oneOf('5/16-24', '1/4-20');
