import { inspect } from 'node:util';

const DIGITS = 5;

/** A copy whose figures have five digits: a different machine’s last bit is no difference. */
function rounded(value: unknown): unknown {
  if (typeof value === 'number')
    // What is left of a difference of equals is noise.
    return Math.abs(value) < 1e-9 ? 0 : Number(value.toPrecision(DIGITS));
  if (typeof value === 'function' || typeof value !== 'object' || value === null) return value;
  if (Array.isArray(value)) return value.map(rounded);
  if (ArrayBuffer.isView(value)) return [...(value as Float64Array)].map(rounded);
  if (value instanceof Map)
    return new Map([...value].map(([key, one]) => [rounded(key), rounded(one)]));
  if (value instanceof Set) return new Set([...value].map(rounded));
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, one]) => one !== undefined && one !== null && typeof one !== 'function')
      .map(([key, one]) => [key, rounded(one)]),
  );
}

const UUID = /[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g;

/**
 * All a value says, as text for a kept record: short things on a line, nothing of what is null, ids that
 * are made anew each time by the order in which they come.
 */
export function told(value: unknown): string {
  const text = inspect(rounded(value), {
    depth: null,
    compact: 4,
    breakLength: 120,
    maxArrayLength: null,
    maxStringLength: null,
  });
  const ids: string[] = [];
  return text.replace(UUID, (id) => {
    if (!ids.includes(id)) ids.push(id);
    return `id ${ids.indexOf(id) + 1}`;
  });
}
