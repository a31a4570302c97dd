import { Type } from '@sinclair/typebox';
import { checker } from '@/contracts/ajv';
import { STAGES } from '@/core/route';
import { db, type Db } from '@/data/db';
import { jobById, setPlace } from '@/data/jobs';
import { invalid, notFound } from './problem';

const check = checker(
  Type.Object(
    { place: Type.Unsafe<string>({ type: 'string', enum: STAGES.map(({ id }) => id) }) },
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
