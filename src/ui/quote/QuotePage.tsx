'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import type { Quote } from '@/core/quote';
import { plainDay, timeText } from '../fields/dates';
import { quoteWords as w } from '../words';
import { QuoteLines } from './QuoteLines';

/** A quote as it was given; prints as it stands. */
export function QuotePage({
  jobId,
  quote,
  newest,
  timeZone,
}: {
  jobId: string;
  quote: Quote;
  newest: number;
  timeZone: string;
}) {
  const made = `${plainDay(quote.madeDay, true)} ${timeText(quote.madeAt, timeZone)}`;
  return (
    <main className="sheet">
      <nav className="sheet-tools">
        <Link href={`/jobs/${jobId}/kit?part=quote`}>{w.back}</Link>
        {newest > quote.revision && <span className="tag">{w.newer(newest)}</span>}
        <span className="sheet-links">
          <Button variant="outlined" onClick={() => window.print()}>
            {w.print}
          </Button>
        </span>
      </nav>
      <header>
        <div>
          <h1>{quote.archer.name}</h1>
          <p>
            {w.revision(quote.revision)}, {w.validUntil(plainDay(quote.validUntil, true))}
            {quote.job.promisedDay && (
              <>
                <br />
                {w.promised(plainDay(quote.job.promisedDay, true))}
              </>
            )}
          </p>
        </div>
        <p className="figure sheet-stamp">
          {quote.shop.name}
          <br />
          {quote.shop.address}
          <br />
          {w.ticket(quote.job.number)}
          <br />
          {w.madeBy(quote.madeBy, made)}
        </p>
      </header>
      <QuoteLines quote={quote} whole />
      {quote.hourCents === 0 && <p className="soft">{w.labourFree}</p>}
      <div className="signatures">
        <span>{w.accepts}</span>
        <span>{quote.shop.name}</span>
      </div>
    </main>
  );
}
