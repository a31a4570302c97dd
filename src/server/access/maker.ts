import { checker } from '@/contracts/ajv';
import { Waited } from '@/contracts/waited';
import { rightsOf, type By } from '@/core/people';
import { db, type Db } from '@/data/db';
import { personById } from '@/data/people';
import { makerBy } from '@/data/tablets';
import { now } from '../clock';
import { invalid, Problem } from '../problem';
import { signedOut, type Asker } from './asker';
import { digest } from './secrets';

/** Clocks of a tablet and of the shop run apart a little while an entry waits. */
const SLACK_MS = 60_000;

/** When an entry was made that was sent so much later; now where its tablet cannot tell. */
export const madeAt = (ageS: number | undefined): string =>
  new Date(now().getTime() - (ageS ?? 0) * 1000).toISOString();

const checkWaited = checker(Waited);

const notThen = (name: string | null) =>
  new Problem(403, 'not-made-then', 'Who made it cannot be said', {
    detail: name
      ? `${name} was not signed in at this tablet at the time this was entered. Enter it in your own name, or take it out.`
      : 'Who entered this is not known at this tablet. Enter it in your own name, or take it out.',
  });

/**
 * Who makes the entry: of the session that asks; of one sent later whoever was signed in at this very tablet when it
 * was made, whoever sends it now.
 */
export function makerOf(body: unknown, asker: Asker, on: Db = db()): By {
  const { by, tablet } = asker;
  if (!by) throw signedOut();
  const waited = (body as { readonly waited?: unknown } | null)?.waited;
  if (waited === undefined) return by;
  const checked = checkWaited(waited);
  if (!checked.ok)
    throw invalid(checked.errors.map((e) => ({ ...e, pointer: `/waited${e.pointer}` })));
  const { mark, ageS } = checked.value;
  const maker = tablet && makerBy(on, digest(mark), tablet.id);
  const person = maker && personById(on, maker.personId);
  if (!maker || !person) throw notThen(null);
  const at = Date.parse(madeAt(ageS));
  const ended = maker.endedAt === null ? Infinity : Date.parse(maker.endedAt);
  // Where the tablet cannot tell when it was made, that it was made in the session is all there is.
  const late = ageS !== undefined && at > ended + SLACK_MS;
  if (at < Date.parse(maker.beganAt) - SLACK_MS || late) throw notThen(person.name);
  return {
    name: person.name,
    role: person.role,
    rights: rightsOf(person.role),
    tablet: tablet!.name,
  };
}
