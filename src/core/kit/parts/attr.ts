import type { Degree, Gram, Mm } from '../../units';

/** What an attribute may hold, for a file, a form and a schema to be made from. */
export type Holds =
  | {
      readonly is: 'number';
      readonly min: number;
      readonly max: number;
      readonly decimals: number;
      readonly whole: boolean;
      /** Stands behind the name where it is shown; null for counts and rates. */
      readonly unit: 'mm' | 'in' | 'g' | '°' | null;
    }
  | { readonly is: 'oneOf'; readonly choices: readonly string[] }
  | { readonly is: 'several'; readonly choices: readonly string[]; readonly most: number }
  /** An empty cell is no where it may be left out. */
  | { readonly is: 'yesNo' }
  | { readonly is: 'text'; readonly most: number };

export interface Kind<T> {
  readonly holds: Holds;
  /** A cell may be empty, its column left out. */
  readonly mayBeEmpty?: true;
  /** Nothing at run time: carries the type of the value. */
  readonly value?: T;
}

/** One attribute of a part. */
export interface Attr<T> {
  readonly kind: Kind<T>;
  readonly name: string;
  readonly about: string;
  readonly example: T;
}

export const attr = <T>(
  kind: Kind<T>,
  name: string,
  about: string,
  example: NoInfer<T>,
): Attr<T> => ({
  kind,
  name,
  about,
  example,
});

const number = (
  unit: 'mm' | 'in' | 'g' | '°' | null,
  min: number,
  max: number,
  decimals: number,
  whole = false,
): Holds => ({ is: 'number', unit, min, max, decimals, whole });

/** mm, from least to most. */
export const lengthMm = (min: number, max: number): Kind<Mm> => ({
  holds: number('mm', min, max, 2),
});
export const massG = (min: number, max: number): Kind<Gram> => ({
  holds: number('g', min, max, 2),
});
/** Degrees. */
export const angleDeg = (min: number, max: number): Kind<Degree> => ({
  holds: number('°', min, max, 1),
});
/** Static spine as the trade speaks it: inches of deflection (ASTM F2031). */
export const spineIn = (min: number, max: number): Kind<number> => ({
  holds: number('in', min, max, 3),
});
export const rate = (min: number, max: number, decimals: number): Kind<number> => ({
  holds: number(null, min, max, decimals),
});
export const count = (min: number, max: number): Kind<number> => ({
  holds: number(null, min, max, 0, true),
});
export const oneOf = <T extends string>(...choices: readonly T[]): Kind<T> => ({
  holds: { is: 'oneOf', choices },
});
export const several = <T extends string>(
  most: number,
  ...choices: readonly T[]
): Kind<readonly T[]> => ({ holds: { is: 'several', choices, most }, mayBeEmpty: true });
export const yesNo: Kind<boolean> = { holds: { is: 'yesNo' } };
export const yesElseNo: Kind<boolean> = { holds: { is: 'yesNo' }, mayBeEmpty: true };
export const text = (most: number): Kind<string> => ({ holds: { is: 'text', most } });
/** Empty where it has none or it is not known. */
export const orNone = <T>({ holds }: Kind<T>): Kind<T | null> => ({ holds, mayBeEmpty: true });

export type Attrs = Readonly<Record<string, Attr<unknown>>>;
/** The record a part's attributes are kept as. */
export type ValuesOf<A extends Attrs> = {
  readonly [N in keyof A]: A[N] extends Attr<infer T> ? T : never;
};
