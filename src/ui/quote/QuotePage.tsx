'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import type { Quote } from '@/core/quote';
import { Text } from '../pieces/Text';
import { plainDay, timeText } from '../fields/dates';
import { quoteWords as w } from '../words';
import { Tag } from '../pieces/texts';
import { QuoteLines } from './QuoteLines';
import paperPageCss from '../pieces/PaperPage.module.css';

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
    <main className={paperPageCss.sheet} data-part="sheet">
      <nav className={paperPageCss.sheetTools}>
        <Link href={`/jobs/${jobId}/kit?part=quote`}>{w.back}</Link>
        {newest > quote.revision && <Tag>{w.newer(newest)}</Tag>}
        <span className={paperPageCss.sheetLinks}>
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
        <Text variant="figure" as="p" className={paperPageCss.sheetStamp}>
          {quote.shop.name}
          <br />
          {quote.shop.address}
          <br />
          {w.ticket(quote.job.number)}
          <br />
          {w.madeBy(quote.madeBy, made)}
        </Text>
      </header>
      <QuoteLines quote={quote} whole />
      {quote.hourCents === 0 && <Text soft>{w.labourFree}</Text>}
      <div className={paperPageCss.signatures}>
        <span>{w.accepts}</span>
        <span>{quote.shop.name}</span>
      </div>
    </main>
  );
}
