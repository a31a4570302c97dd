import { readSheet } from '@/contracts/sheet';
import type { ModelBow } from '@/core/job';
import { readCode, type SheetDocument } from '@/core/sheet';
import { modelOfCode, modelOfOldBow, modelOfSheet } from '@/core/twin';
import type { Outcome } from '@/core/outcome';
import { jobById, updateJob } from '@/data/jobs';
import { sheetsOf } from '@/data/sheets';
import { findSheet } from '../sheets';
import { cannot, ofStage, type CommandOf, type Handlers, type Work } from './types';

type From = CommandOf<'setModel'>['from'];

/** The bow a job's bow is made like. */
export const MODEL = ofStage('bow', {
  setModel({ from }, work) {
    const { db, snapshot } = work;
    const { like: before } = snapshot.job;
    const like = from.kind === 'none' ? null : modelFrom(from, work);
    if (like === null && before === null) throw cannot('no-model', 'It is made like no other bow.');
    if (like && like.bow.hand !== snapshot.archer.hand)
      throw cannot(
        'wrong-hand',
        `The model is a ${like.bow.hand}-hand bow; the archer shoots ${snapshot.archer.hand}-handed. Its numbers do not carry over.`,
        '/command/from',
      );
    updateJob(db, { ...jobById(db, snapshot.job.id)!, like });
    return {
      summary: like ? `Made like: ${like.title}` : 'Made like no other bow',
      inverse: { do: 'restore', job: { like: before } },
    };
  },
} satisfies Partial<Handlers>);

function modelFrom(from: Exclude<From, { kind: 'none' }>, work: Work): ModelBow {
  const { snapshot } = work;
  const { units } = snapshot.shop;
  if (from.kind === 'oldBow') return given(modelOfOldBow(snapshot));
  if (from.kind === 'code') {
    const code = readCode(from.text);
    if (!code.ok) throw cannot(code.reason, code.message, '/command/from/text');
    return modelOfCode(code, units);
  }
  if (from.kind === 'file') {
    const read = readSheet(from.sheet);
    if (!read.ok) throw cannot('no-sheet', read.reason, '/command/from/sheet');
    const { sheet } = read;
    return given(
      modelOfSheet(
        sheet,
        { source: 'file', title: titleOf(sheet, sheet.shop.name), sheet: null },
        units,
      ),
    );
  }
  return ofThisShop(from, work);
}

const titleOf = ({ revision, job, archer }: SheetDocument, shop: string | null) =>
  [`Sheet ${revision} of ticket ${job.number}`, archer.name, shop].filter(Boolean).join(', ');

/** A sheet that was made here: the newest where none is named. */
function ofThisShop(
  { jobId, revision }: Extract<From, { kind: 'sheet' }>,
  { db, snapshot }: Work,
): ModelBow {
  if (!jobById(db, jobId)) throw cannot('no-job', 'There is no such job.', '/command/from/jobId');
  const wanted = revision ?? sheetsOf(db, jobId)[0]?.revision;
  const sheet = wanted === undefined ? null : findSheet(jobId, String(wanted), db);
  if (!sheet)
    throw cannot(
      'no-sheet',
      wanted === undefined
        ? 'This bow has no sheet yet: it is made when it is handed over.'
        : 'There is no such revision of its sheet.',
      '/command/from/revision',
    );
  return given(
    modelOfSheet(
      sheet,
      {
        source: 'sheet',
        title: titleOf(sheet, null),
        sheet: { jobId, revision: sheet.revision },
      },
      snapshot.shop.units,
    ),
  );
}

function given(answer: Outcome<{ readonly model: ModelBow }>): ModelBow {
  if (!answer.ok) throw cannot(answer.reason, answer.message, '/command/from');
  return answer.model;
}
