import type { Static, TSchema } from '@sinclair/typebox';
import Ajv, { type ErrorObject } from 'ajv';
import addFormats from 'ajv-formats';

const ajv = new Ajv({ allErrors: true, strict: true, discriminator: true });
addFormats(ajv);

export interface InputError {
  /** JSON pointer to what is wrong; empty for the whole. */
  readonly pointer: string;
  readonly detail: string;
}

export type Checked<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly errors: readonly InputError[] };

/** Compiles a schema once; the check then types what passes. */
export function checker<S extends TSchema>(schema: S): (input: unknown) => Checked<Static<S>> {
  const validate = ajv.compile(schema);
  return (input) =>
    validate(input)
      ? { ok: true, value: input as Static<S> }
      : { ok: false, errors: dedupe((validate.errors ?? []).map(say)) };
}

function say(error: ErrorObject): InputError {
  const missing = (error.params as { missingProperty?: string }).missingProperty;
  const extra = (error.params as { additionalProperty?: string }).additionalProperty;
  const pointer = error.instancePath + (missing ? `/${missing}` : extra ? `/${extra}` : '');
  const allowed = (error.params as { allowedValues?: unknown[] }).allowedValues;
  if (missing) return { pointer, detail: 'is missing' };
  if (extra) return { pointer, detail: 'is not a field known here' };
  return {
    pointer,
    detail: allowed ? `must be one of ${allowed.join(', ')}` : (error.message ?? 'is not valid'),
  };
}

const dedupe = (errors: InputError[]) =>
  errors.filter(
    (e, i) => errors.findIndex((o) => o.pointer === e.pointer && o.detail === e.detail) === i,
  );
