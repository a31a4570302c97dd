'use client';
import { moneyOf } from '@/core/job';
import { jobTotal } from '@/core/quote';
import { writeMoney } from '@/core/units';
import { useJob } from '../../job/JobProvider';
import { Block } from '../../pieces/layout';
import paperPageCss from '../../pieces/PaperPage.module.css';
import { delivery as w, handover } from '../../words';
import { AcceptedQuote } from './AcceptedQuote';
import { Extras } from './Extras';
import { Payments } from './Payments';
import css from './Delivery.module.css';

/** What was agreed, what is billed besides, what came in, and the note that goes with the bow. */
export function Delivery() {
  const { snapshot, derived } = useJob();
  const { payments, sheets, job } = snapshot;
  const { totalCents } = jobTotal(snapshot, derived);
  const { paidCents, leftCents } = moneyOf(payments, totalCents);
  const note = `/api/v1/jobs/${job.id}/delivery-note`;
  return (
    <Block>
      <h3>{w.title}</h3>
      <dl className={css.sums} data-part="money">
        <div>
          <dt>{w.total}</dt>
          <dd>{writeMoney(totalCents)}</dd>
        </div>
        <div>
          <dt>{w.paid}</dt>
          <dd>{writeMoney(paidCents)}</dd>
        </div>
        <div data-left={leftCents > 0 ? 'yes' : 'no'}>
          <dt>{leftCents < 0 ? w.tooMuch : w.left}</dt>
          <dd>{writeMoney(Math.abs(leftCents))}</dd>
        </div>
      </dl>
      <AcceptedQuote totalCents={totalCents} />
      <Extras />
      <Payments leftCents={leftCents} totalCents={totalCents} />
      {sheets.length > 0 && (
        <p>
          {w.note}{' '}
          <span className={paperPageCss.sheetLinks}>
            <a href={`${note}?paper=A4`}>{handover.a4}</a>
            <a href={`${note}?paper=LETTER`}>{handover.letter}</a>
            <a href={`${note}?paper=A4&prices=no`}>{w.noteBare}</a>
          </span>
        </p>
      )}
    </Block>
  );
}
