import { Type, type Static, type TSchema } from '@sinclair/typebox';

/** Pieces of the compute interface’s bodies. */
export const strict = { additionalProperties: false } as const;
export const Num = (minimum: number, maximum: number) => Type.Number({ minimum, maximum });
export const Positive = (maximum: number) => Type.Number({ exclusiveMinimum: 0, maximum });
export const OneOf = <T extends string>(...names: T[]) =>
  Type.Unsafe<T>({ type: 'string', enum: names });
export const Nullable = (schema: TSchema) => Type.Union([schema, Type.Null()]);

/** Two of a kind. A list of exactly two: the array form of `items` is no longer JSON Schema 2020-12. */
export const Pair = <S extends TSchema>(of: S) =>
  Type.Unsafe<[Static<S>, Static<S>]>(Type.Array(of, { minItems: 2, maxItems: 2 }));
