import { existsSync, statSync } from 'node:fs';
import { hasShop } from '@/data/no-shop';

/**
 * Whether the program may begin on this file. Where nothing stands it begins all the same and asks, at the
 * machine itself, what to do; a new shop is never made by itself. A file that is sick is opened: the screen says
 * so.
 *
 * @returns why not; null where it may.
 */
export function mayOpen(path: string, wantsNew: boolean): string | null {
  if (existsSync(path) && statSync(path).isDirectory())
    return `${path} is a folder, not a shop’s file. Name another file in WAFFENRAD_DB.`;
  return wantsNew && hasShop(path)
    ? `There is a file at ${path} already; a new shop needs a name that is free. Name another file in WAFFENRAD_DB.`
    : null;
}
