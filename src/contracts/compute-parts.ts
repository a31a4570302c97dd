import { Type, type TSchema } from '@sinclair/typebox';

/** Pieces of the compute interface’s bodies. */
export const strict = { additionalProperties: false } as const;
export const Num = (minimum: number, maximum: number) => Type.Number({ minimum, maximum });
export const Positive = (maximum: number) => Type.Number({ exclusiveMinimum: 0, maximum });
export const OneOf = <T extends string>(...names: T[]) =>
  Type.Unsafe<T>({ type: 'string', enum: names });
export const Nullable = (schema: TSchema) => Type.Union([schema, Type.Null()]);
