import type { Static, TSchema } from '@sinclair/typebox';
import Ajv, { type ErrorObject, type ValidateFunction } from 'ajv';
import addFormats from 'ajv-formats';
import { toldFaults, type InputError } from './faults';

const ajv = new Ajv({ allErrors: true, strict: true, discriminator: true });
addFormats(ajv);
// The package takes a 61st second and an offset without minutes, which no clock here can read.
ajv.addFormat('date-time', isInstant);

const INSTANT =
  /^(\d{4})-(\d\d)-(\d\d)T(?:[01]\d|2[0-3]):[0-5]\d(?::[0-5]\d(?:\.\d{1,9})?)?(?:Z|[+-]\d\d:\d\d)$/;

/** An instant of RFC 3339 that is one: a day of the calendar, a time of the clock, its offset whole. */
export function isInstant(text: string): boolean {
  const match = INSTANT.exec(text);
  if (!match || Number.isNaN(Date.parse(text))) return false;
  const [year, month, day] = match.slice(1, 4).map(Number);
  // The language carries 30 February over into March.
  return new Date(Date.UTC(year!, month! - 1, day)).getUTCDate() === day;
}

type Checked<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly errors: readonly InputError[] };

/**
 * Compiles a schema once, when it is asked for: a route that is opened does not wait for those it may never need. The
 * check then types what passes.
 */
export function checker<S extends TSchema>(schema: S): (input: unknown) => Checked<Static<S>> {
  let compiled: ValidateFunction | null = null;
  return (input) => {
    const validate = (compiled ??= ajv.compile(schema));
    return validate(input)
      ? { ok: true, value: input as Static<S> }
      : { ok: false, errors: toldFaults(onceEach(validate.errors ?? [])) };
  };
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

/** A field that fails in two ways of a union is one fault. */
function onceEach(errors: readonly ErrorObject[]): InputError[] {
  const told = new Map<string, InputError>();
  for (const error of errors) {
    const fault = say(error);
    const name = `${fault.pointer}\n${fault.detail}`;
    if (!told.has(name)) told.set(name, fault);
  }
  return [...told.values()];
}
