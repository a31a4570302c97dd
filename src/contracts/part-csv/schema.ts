import { Type, type TSchema } from '@sinclair/typebox';
import { PART_KINDS, type AnyPart, type PartKind } from '@/core/kit';
import { checker } from '../ajv';
import { ATTR_COLUMNS } from './attr-columns';

const strict = { additionalProperties: false } as const;

/** JSON Schema of a part of one kind, in SI and cents, from the same columns as its file. */
const partSchema = (kind: PartKind): TSchema =>
  Type.Object(
    {
      id: Type.String({ minLength: 1, maxLength: 60 }),
      slot: Type.Literal(kind),
      maker: Type.String({ minLength: 1, maxLength: 60 }),
      model: Type.String({ minLength: 1, maxLength: 80 }),
      hand: Type.Unsafe({ type: 'string', enum: ['right', 'left', 'both'] }),
      massG: Type.Number({ minimum: 0, maximum: 20_000 }),
      priceCents: Type.Integer({ minimum: 0, maximum: 2_000_000 }),
      closeOutCents: Type.Union([Type.Integer({ minimum: 0, maximum: 2_000_000 }), Type.Null()]),
      stock: Type.Integer({ minimum: 0, maximum: 100_000 }),
      deliveryDays: Type.Integer({ minimum: 0, maximum: 400 }),
      supplier: Type.String({ maxLength: 60 }),
      attrs: Type.Object(
        Object.fromEntries(ATTR_COLUMNS[kind].map(({ attr, kind: cell }) => [attr, cell.schema])),
        strict,
      ),
    },
    strict,
  );

/** Of every kind, by its slot. */
export const partSchemas = (): Record<string, TSchema> =>
  Object.fromEntries(PART_KINDS.map(({ id }) => [id, partSchema(id)]));

const checkers = new Map<PartKind, (value: unknown) => ReturnType<ReturnType<typeof checker>>>();

/** Checks a part that came over the wire against its kind's schema. */
export function checkPart(kind: PartKind, value: unknown) {
  const check = checkers.get(kind) ?? checker(partSchema(kind));
  checkers.set(kind, check);
  return check(value) as
    { ok: true; value: AnyPart } | { ok: false; errors: { pointer: string; detail: string }[] };
}
