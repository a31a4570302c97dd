import { randomUUID } from 'node:crypto';
import {
  derive,
  MOST_EXTRAS,
  PAYMENT_WAYS,
  readExtra,
  moneyOf,
  type JobSnapshot,
} from '@/core/job';
import { jobTotal } from '@/core/quote';
import { readMoney, spokenDay, writeMoney } from '@/core/units';
import { jobById, updateJob } from '@/data/jobs';
import { dropPayment, insertPayment } from '@/data/payments';
import { quoteById } from '@/data/quotes';
import { cannot, ofStage, type Handlers } from './types';

const totalOf = (snapshot: JobSnapshot) => jobTotal(snapshot, derive(snapshot)).totalCents;
const KINDS = { deposit: 'Deposit', rest: 'Paid', back: 'Paid back' } as const;

/** What is billed besides, what was accepted, and money that came in. */
export const DELIVER = ofStage('handover', {
  addExtra({ text, entered }, { db, snapshot }) {
    const { extras } = snapshot.job;
    if (extras.length >= MOST_EXTRAS)
      throw cannot('too-many-lines', `A job has ${MOST_EXTRAS} lines of its own at most.`);
    const read = readExtra(entered, totalOf(snapshot));
    if (!read.ok) throw cannot(read.reason, read.message, '/command/entered');
    const name = text.trim() || (read.cents < 0 ? `Discount ${entered.trim()}` : '');
    if (name === '') throw cannot('no-text', 'Say what the line is for.', '/command/text');
    const line = { id: randomUUID(), text: name, cents: read.cents };
    updateJob(db, { ...jobById(db, snapshot.job.id)!, extras: [...extras, line] });
    return {
      summary: `Line: ${name}, ${writeMoney(read.cents)}`,
      inverse: { do: 'restore', job: { extras } },
    };
  },

  removeExtra({ id }, { db, snapshot }) {
    const { extras } = snapshot.job;
    const line = extras.find((one) => one.id === id);
    if (!line) throw cannot('no-line', 'There is no such line.', '/command/id');
    updateJob(db, {
      ...jobById(db, snapshot.job.id)!,
      extras: extras.filter((one) => one !== line),
    });
    return { summary: `Line taken off: ${line.text}`, inverse: { do: 'restore', job: { extras } } };
  },

  acceptQuote({ revision }, { db, snapshot, who }) {
    const { job, today } = snapshot;
    const quote = quoteById(db, job.id, revision);
    if (!quote) throw cannot('no-quote', 'There is no such quote.', '/command/revision');
    if (quote.validUntil < today)
      throw cannot(
        'quote-over',
        `Quote ${revision} held until ${spokenDay(quote.validUntil)}: give a new one, then it can be accepted.`,
        '/command/revision',
      );
    if (job.accepted?.revision === revision)
      throw cannot('accepted-already', `Quote ${revision} is accepted already.`);
    const accepted = { revision, totalCents: quote.totalCents, day: today, who };
    updateJob(db, { ...jobById(db, job.id)!, accepted });
    return {
      summary: `Quote ${revision} accepted: ${writeMoney(quote.totalCents)}`,
      inverse: { do: 'restore', job: { accepted: job.accepted } },
    };
  },

  notePayment({ kind, way, entered }, { db, snapshot, who, at }) {
    const read = readMoney(entered, { what: 'payment' });
    if (!read.ok) throw cannot(read.code, read.message, '/command/entered');
    if (read.cents === 0) throw cannot('nothing', 'Nothing was paid.', '/command/entered');
    const { paidCents, leftCents } = moneyOf(snapshot.payments, totalOf(snapshot));
    if (kind === 'back' && read.cents > paidCents)
      throw cannot(
        'more-than-paid',
        `${writeMoney(paidCents)} were paid: more cannot be paid back.`,
        '/command/entered',
      );
    if (kind !== 'back' && read.cents > leftCents)
      throw cannot(
        'more-than-left',
        leftCents <= 0
          ? 'Everything is paid already.'
          : `${writeMoney(leftCents)} are left to pay: more is not taken.`,
        '/command/entered',
      );
    const cents = kind === 'back' ? -read.cents : read.cents;
    const payment = insertPayment(db, snapshot.job.id, { at, who, kind, cents, way });
    const name = PAYMENT_WAYS.find(({ id }) => id === way)!.name;
    return {
      summary: `${KINDS[kind]}: ${writeMoney(read.cents)}, ${name}`,
      inverse: { do: 'paid', payment, stands: false },
    };
  },

  removePayment({ payment: id }, { db, snapshot }) {
    const payment = snapshot.payments.find((one) => one.id === id);
    if (!payment) throw cannot('no-payment', 'There is no such payment.', '/command/payment');
    dropPayment(db, id);
    return {
      summary: `Payment taken off: ${writeMoney(payment.cents)}`,
      inverse: { do: 'paid', payment: id, stands: true },
    };
  },
} satisfies Partial<Handlers>);
