'use client';
import { useEffect, useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { makeQuote, quoteChanges, type Quote } from '@/core/quote';
import { writeMoney } from '@/core/units';
import { dayText, timeText } from '../../fields/dates';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { QuoteLines } from '../../quote/QuoteLines';
import { quoteWords as w } from '../../words';

/** What it comes to as it stands, and the quotes given so far. */
export function QuotePart() {
  const { snapshot, derived, send } = useJob();
  const { href } = useStage();
  const [trouble, setTrouble] = useState('');
  const { quotes, parts, bow, shop, today, job } = snapshot;
  // Only what it comes to is shown here; who and when are said when it is given.
  const draft = makeQuote(snapshot, derived, {
    revision: (quotes[0]?.revision ?? 0) + 1,
    madeAt: '',
    madeDay: today,
    madeBy: '',
  });
  const changes = useChanges(draft);
  const holds = changes?.length === 0 && (quotes[0]?.validUntil ?? '') >= today;
  const toOrder = parts.filter(({ arrivesDay }) => arrivesDay !== null).length;
  const empty = !bow && parts.length === 0;
  const give = async () => {
    const answer = await send({ name: 'giveQuote' });
    setTrouble(answer?.message ?? '');
  };
  return (
    <>
      <main className="work">
        <div className="head">
          <h2>{w.title}</h2>
          <span className="big figure">{writeMoney(draft.totalCents)}</span>
          <span className="spread">{w.validUntil(dayText(draft.validUntil, today))}</span>
          {!empty && !holds && (
            <Button variant="contained" className="head-end" onClick={() => void give()}>
              {w.give}
            </Button>
          )}
        </div>
        <p>
          <Link href={href('kit')} prefetch={false}>
            {w.back}
          </Link>
        </p>
        {trouble && (
          <p className="field-error" role="alert">
            {trouble}
          </p>
        )}
        {empty ? (
          <p className="note">{w.nothing}</p>
        ) : (
          <>
            <QuoteLines quote={draft} />
            {draft.hourCents === 0 && <p className="soft">{w.labourFree}</p>}
          </>
        )}
        <section className="block">
          <h3 className="block-title">{w.given}</h3>
          {quotes.length === 0 ? (
            <p className="soft">{w.none}</p>
          ) : (
            <ul className="rows quote-rows">
              {quotes.map(({ revision, at, who, totalCents, validUntil }) => (
                <li key={revision}>
                  <Link href={`/jobs/${job.id}/quote/${revision}`} prefetch={false}>
                    {w.revision(revision)}
                  </Link>
                  <span className="soft">
                    {w.byOn(
                      who,
                      `${dayText(at.slice(0, 10), today)} ${timeText(at, shop.timeZone)}`,
                    )}
                  </span>
                  <span className={validUntil < today ? 'tag' : 'soft'}>
                    {validUntil < today ? w.expired : w.validUntil(dayText(validUntil, today))}
                  </span>
                  <span className="figure right">{writeMoney(totalCents)}</span>
                </li>
              ))}
            </ul>
          )}
          {changes !== null && changes.length === 0 && <p className="soft">{w.holds}</p>}
        </section>
      </main>
      <Margin
        because={[
          w.because.prices,
          w.because.moved,
          ...(draft.hourCents > 0 ? [w.because.labour(writeMoney(draft.hourCents))] : []),
          w.because.kept,
        ]}
        watch={[
          ...(changes && changes.length > 0
            ? [{ id: 'changed', text: w.watch.changed(changes.join(', ')) }]
            : []),
          ...(toOrder > 0 ? [{ id: 'order', text: w.watch.order(toOrder) }] : []),
        ]}
      />
    </>
  );
}

/** What differs from the newest quote given; null when there is none or it is not here yet. */
function useChanges(draft: Quote): string[] | null {
  const { job, quotes } = useJob().snapshot;
  const newest = quotes[0]?.revision ?? 0;
  const [given, setGiven] = useState<Quote | null>(null);
  useEffect(() => {
    if (newest === 0) return setGiven(null);
    let late = false;
    void fetch(`/api/v1/jobs/${job.id}/quotes/${newest}`)
      .then((response) => (response.ok ? (response.json() as Promise<Quote>) : null))
      .then((quote) => !late && setGiven(quote))
      .catch(() => undefined);
    return () => {
      late = true;
    };
  }, [job.id, newest]);
  return given && given.revision === newest ? quoteChanges(given, draft) : null;
}
