import { Type } from '@sinclair/typebox';
import { checker } from '@/contracts/ajv';
import { FIRST_HOUR, type FirstHourPart } from '@/core/job';
import { db, type Db } from '@/data/db';
import { firstHour, saveFirstHour, type FirstHour } from '@/data/first-hour';
import { invalid } from './problem';

const check = checker(
  Type.Union([
    Type.Object(
      {
        seen: Type.Unsafe<FirstHourPart>({ type: 'string', enum: FIRST_HOUR.map(({ id }) => id) }),
      },
      { additionalProperties: false },
    ),
    Type.Object({ over: Type.Literal(true) }, { additionalProperties: false }),
  ]),
);

/** How far the guided opening got; null where there is none. */
export const openingHour = (on: Db = db()): FirstHour | null => firstHour(on);

/** A part of it was gone through, or all of it is over. */
export function goOnOpening(body: unknown, on: Db = db()): { readonly hour: FirstHour | null } {
  const checked = check(body);
  if (!checked.ok) throw invalid(checked.errors);
  const wish = checked.value;
  const run = on.transaction(() => {
    const now = firstHour(on);
    if (!now) return { hour: null };
    if ('over' in wish) saveFirstHour(on, null);
    else saveFirstHour(on, { seen: [...new Set([...now.seen, wish.seen])] });
    return { hour: firstHour(on) };
  });
  return run.immediate();
}
