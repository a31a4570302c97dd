import { existsSync, statSync } from 'node:fs';

/** Nothing stands where the shop’s file would be, or the file there is empty. */
export class NoShop extends Error {
  /** Pages and threads are bundled apart: known by its name, not by its class. */
  static override [Symbol.hasInstance](value: unknown): boolean {
    return value instanceof Error && value.name === 'NoShop';
  }
  override readonly name = 'NoShop';
}

export const hasShop = (path: string): boolean => existsSync(path) && statSync(path).size > 0;
