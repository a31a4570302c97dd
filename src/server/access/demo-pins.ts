import type { Db } from '@/data/db';

/**
 * PINs of the demo shop's invented people, by person: the demo lays them down beside its people, no other shop
 * has them. Empty where there are none.
 */
export function demoPins(on: Db): Readonly<Record<string, string>> {
  const kept = on
    .prepare("SELECT value_json FROM setting WHERE key = 'demo-pins'")
    .pluck()
    .get() as string | undefined;
  return kept === undefined ? {} : (JSON.parse(kept) as Record<string, string>);
}

export const keepDemoPins = (on: Db, pins: Readonly<Record<string, string>>): void =>
  void on
    .prepare(
      "INSERT INTO setting VALUES ('demo-pins', ?) ON CONFLICT (key) DO UPDATE SET value_json = excluded.value_json",
    )
    .run(JSON.stringify(pins));
