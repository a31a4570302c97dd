import { Type } from '@sinclair/typebox';
import { checker } from '@/contracts/ajv';
import { Name } from '@/contracts/name';
import { countsAsWork, MOST_STEP_S } from '@/core/bench';
import { db, type Db } from '@/data/db';
import { jobById } from '@/data/jobs';
import { addStepTime, stepTimes } from '@/data/records';
import { nowIso } from './clock';
import { invalid, notFound } from './problem';

const check = checker(
  Type.Object(
    {
      stepId: Type.String({ minLength: 1, maxLength: 40 }),
      seconds: Type.Number({ minimum: 0, maximum: 24 * 3600 }),
      who: Name(60),
      tablet: Type.Optional(Type.String({ maxLength: 60 })),
    },
    { additionalProperties: false },
  ),
);

/**
 * Keeps what the bench's clock saw of a step. A slip of the finger and a bow left lying are no
 * measure of the work: they are answered, and not kept.
 */
export function noteStepTime(jobId: string, body: unknown, on: Db = db()) {
  const checked = check(body);
  if (!checked.ok) throw invalid(checked.errors);
  if (!jobById(on, jobId)) throw notFound('job');
  const { stepId, seconds, who } = checked.value;
  const kept = countsAsWork(seconds);
  if (kept) addStepTime(on, { jobId, stepId, seconds, who, at: nowIso() });
  return { kept, mostSeconds: MOST_STEP_S, times: stepTimes(on)[stepId] ?? null };
}
