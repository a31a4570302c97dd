import { notDrawn, READ_AT_REST, type JobSnapshot } from '../job';
import { isPartKey, isSetupKey } from '../setup';
import { LANE } from './lane';
import { MARKS } from './marks';
import { cannot } from './refusal';
import { STEADY } from './steady';
import type { Entries } from './types';

/** What is shot or hung. */
const DRAWN: ReadonlySet<string> = new Set(
  [LANE, MARKS, STEADY].flatMap((makers) => Object.keys(makers)),
);
const atRest: ReadonlySet<string> = new Set(READ_AT_REST);

const isWork = (key: string) => isSetupKey(key) && !isPartKey(key) && !atRest.has(key);

/** Nothing is drawn, pressed or turned on a bow from elsewhere before it was looked over and is sound. */
export function refuseUnlooked<N extends keyof Entries>(
  name: N,
  entry: Entries[N],
  { job }: Pick<JobSnapshot, 'job'>,
): void {
  const why = notDrawn(job);
  if (!why) return;
  const { readings = [], keys = [] } = entry as Partial<
    Entries['takeReadings'] & Entries['confirmReadings']
  >;
  const said = [...readings.map(({ key }) => key), ...keys];
  if (DRAWN.has(name) || said.some(isWork)) throw cannot(why.reason, why.message);
}
