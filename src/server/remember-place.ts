import { Type } from '@sinclair/typebox';
import { checker } from '@/contracts/ajv';
import { STAGES } from '@/core/setup';
import { db, type Db } from '@/data/db';
import { jobById, setPlace } from '@/data/jobs';
import { invalid, notFound } from './problem';

const check = checker(
  Type.Object(
    {
      /** A stage, and which part or step of it. */
      place: Type.String({
        maxLength: 160,
        pattern: `^(${STAGES.map(({ id }) => id).join('|')})(\\?[A-Za-z0-9_=&.%+-]*)?$`,
      }),
    },
    { additionalProperties: false },
  ),
);

/** Keeps the stage a job was last worked on, so that it reopens there. */
export function rememberPlace(jobId: string, body: unknown, on: Db = db()) {
  const checked = check(body);
  if (!checked.ok) throw invalid(checked.errors);
  if (!jobById(on, jobId)) throw notFound('job');
  setPlace(on, jobId, checked.value.place);
  return checked.value;
}
