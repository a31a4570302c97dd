import { dbPath, openDb } from '@/data/db';
import { saveFirstHour } from '@/data/first-hour';

/** Makes a new shop's file, with its guided opening still to come. */
export function newShop(path = dbPath()): void {
  const fresh = openDb(path);
  saveFirstHour(fresh, { seen: [] });
  fresh.close();
}
