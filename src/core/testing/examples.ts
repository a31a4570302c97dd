import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

interface Example {
  readonly title: string;
  readonly request: Record<string, unknown>;
  readonly response: unknown;
  readonly tolerance: number;
}

/** The worked cases of the compute interface that are committed beside this file. */
export function examples(name: string): Example[] {
  const file = join(process.cwd(), 'src/core/testing/examples', `${name}.json`);
  if (!existsSync(file)) throw new Error(`No worked cases for ${name} at ${file}`);
  return JSON.parse(readFileSync(file, 'utf8')) as Example[];
}

/** Numbers agree within the tolerance (relative, 1e-6 absolute beside it); more fields may come. */
export function expectAgrees(actual: unknown, wanted: unknown, tolerance: number, at = ''): void {
  if (typeof wanted === 'number') {
    const allowed = 1e-6 + tolerance * Math.abs(wanted);
    if (typeof actual !== 'number' || !(Math.abs(actual - wanted) <= allowed)) {
      throw new Error(`${at}: ${String(actual)} is not ${wanted} within ${allowed}`);
    }
  } else if (Array.isArray(wanted)) {
    if (!Array.isArray(actual) || actual.length !== wanted.length) {
      throw new Error(`${at}: expected ${wanted.length} entries, got ${JSON.stringify(actual)}`);
    }
    wanted.forEach((entry, i) => expectAgrees(actual[i], entry, tolerance, `${at}/${i}`));
  } else if (wanted !== null && typeof wanted === 'object') {
    for (const [key, value] of Object.entries(wanted)) {
      expectAgrees((actual as Record<string, unknown>)?.[key], value, tolerance, `${at}/${key}`);
    }
  } else if (actual !== wanted) {
    throw new Error(`${at}: ${JSON.stringify(actual)} is not ${JSON.stringify(wanted)}`);
  }
}
