import { checker } from '@/contracts/ajv';
import { CodeRequest } from '@/contracts/code';
import { codeText, readCode, type CodeFound, type CodeText } from '@/core/sheet';
import { db, type Db } from '@/data/db';
import { openHeads } from '@/data/job-heads';
import { jobByNumber } from '@/data/jobs';
import { findSheet } from './sheets';
import { invalid, refusedProblem } from './problem';

const check = checker(CodeRequest);

/** Reads a code; it is of this shop where a sheet here is of the same day and bow. */
export function readCodeText(body: unknown, from: Db = db()): CodeFound {
  const checked = check(body);
  if (!checked.ok) throw invalid(checked.errors);
  const code = readCode(checked.value.text);
  if (!code.ok) throw refusedProblem(code);
  const job = jobByNumber(from, code.ticket);
  const sheet = job && findSheet(job.id, String(code.revision), from);
  const own = sheet && codeText(sheet);
  const here = own ? readCode(own) : null;
  return { code, jobId: job && here?.ok && isSameSheet(here, code) ? job.id : null };
}

/** Open jobs a bow that was read can be compared with. */
export const jobsToCompare = (from: Db = db()) =>
  openHeads(from).map(({ id, number, name }) => ({ id, number, name }));

/** Ticket numbers begin anew in every shop: the day and the bow with its number have to agree too. */
const isSameSheet = (one: CodeText, other: CodeText) =>
  one.day === other.day &&
  one.bow === other.bow &&
  one.hand === other.hand &&
  one.serial === other.serial;
