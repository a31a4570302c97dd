import { Type } from '@sinclair/typebox';
import { checker } from '@/contracts/ajv';
import type { HistoryPage, HistoryPreview } from '@/contracts/history';
import { derive } from '@/core/job';
import { setupValue } from '@/core/setup';
import { db, type Db } from '@/data/db';
import { eventById, eventPage } from '@/data/events';
import { leftOutReadings } from '@/data/records';
import { runCommand } from './commands';
import { Problem, invalid, notFound } from './problem';
import { loadSnapshot } from './load-snapshot';

const PAGE = 40;

/** A page of everything entered on a job, newest first, by words of the entry or who made it. */
export function historyPage(jobId: string, params: URLSearchParams, on: Db = db()): HistoryPage {
  if (!loadSnapshot(jobId, on)) throw notFound('job');
  const words = (params.get('words') ?? '').slice(0, 80);
  const before = params.get('before');
  const id = before === null ? null : Number(before);
  if (id !== null && !(Number.isSafeInteger(id) && id > 0))
    throw invalid([{ pointer: '/before', detail: 'must be the number of an entry' }]);
  const events = eventPage(on, jobId, { words, before: id, limit: PAGE + 1 });
  return {
    events: events.slice(0, PAGE),
    leftOut: id === null ? leftOutReadings(on, jobId) : [],
    more: events.length > PAGE,
  };
}

const checkPreview = checker(
  Type.Object({ event: Type.Integer({ minimum: 1 }) }, { additionalProperties: false }),
);

class RolledBack extends Error {}

/**
 * What taking an entry back (or bringing it again) would make stale: it is done for real inside a
 * transaction that is never committed, so that the preview is what then comes.
 */
export function historyPreview(jobId: string, body: unknown, on: Db = db()): HistoryPreview {
  const checked = checkPreview(body);
  if (!checked.ok) throw invalid(checked.errors);
  const snapshot = loadSnapshot(jobId, on);
  if (!snapshot) throw notFound('job');
  const { event } = checked.value;
  const entry = eventById(on, jobId, event);
  if (!entry) throw notFound('entry');
  const now = derive(snapshot).plan;
  let preview: HistoryPreview = { summary: entry.summary, again: [], open: [], why: null };
  const look = on.transaction(() => {
    const then = derive(
      runCommand(
        jobId,
        {
          version: snapshot.job.version,
          who: 'preview',
          command: { name: entry.canRedo ? 'redo' : 'undo', event },
        },
        on,
      ),
    ).plan;
    const already = new Set(now.stale.map(({ key }) => key));
    const openNow = new Set(now.steps.filter(({ state }) => state === 'open').map(({ id }) => id));
    preview = {
      ...preview,
      again: then.stale.flatMap(({ key }) => (already.has(key) ? [] : [setupValue(key).name])),
      open: then.steps.flatMap(({ id, state, template }) =>
        state === 'open' && !openNow.has(id) ? [template.title] : [],
      ),
    };
    throw new RolledBack();
  });
  try {
    look.immediate();
  } catch (error) {
    if (error instanceof Problem) return { ...preview, why: error.message };
    if (!(error instanceof RolledBack)) throw error;
  }
  return preview;
}
