'use client';
import { useEffect, useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { makeQuote, quoteChanges, type Quote } from '@/core/quote';
import { writeMoney } from '@/core/units';
import { Text } from '../../pieces/Text';
import { dayText, timeText } from '../../fields/dates';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { QuoteLines } from '../../quote/QuoteLines';
import { quoteWords as w } from '../../words';
import { Work } from '../../job/Work';
import { Block, BlockTitle, Head, HeadEnd, Rows } from '../../pieces/layout';
import { FieldError, Note, Tag } from '../../pieces/texts';
import css from './QuotePart.module.css';
import { askShop } from '../../keep/ask-shop';

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
      <Work>
        <Head>
          <h2>{w.title}</h2>
          <Text variant="big">{writeMoney(draft.totalCents)}</Text>
          <Text variant="aside">{w.validUntil(dayText(draft.validUntil, today))}</Text>
          {!empty && !holds && (
            <HeadEnd>
              <Button variant="contained" onClick={() => void give()}>
                {w.give}
              </Button>
            </HeadEnd>
          )}
        </Head>
        <p>
          <Link href={href('kit')} prefetch={false}>
            {w.back}
          </Link>
        </p>
        {trouble && <FieldError role="alert">{trouble}</FieldError>}
        {empty ? (
          <Note>{w.nothing}</Note>
        ) : (
          <>
            <QuoteLines quote={draft} />
            {draft.hourCents === 0 && <Text soft>{w.labourFree}</Text>}
          </>
        )}
        <Block>
          <BlockTitle>{w.given}</BlockTitle>
          {quotes.length === 0 ? (
            <Text soft>{w.none}</Text>
          ) : (
            <Rows className={css.quoteRows} data-part="quote-rows">
              {quotes.map(({ revision, at, who, totalCents, validUntil }) => (
                <li key={revision}>
                  <Link href={`/jobs/${job.id}/quote/${revision}`} prefetch={false}>
                    {w.revision(revision)}
                  </Link>
                  <Text soft as="span">
                    {w.byOn(
                      who,
                      `${dayText(at.slice(0, 10), today)} ${timeText(at, shop.timeZone)}`,
                    )}
                  </Text>
                  {validUntil < today ? (
                    <Tag>{w.expired}</Tag>
                  ) : (
                    <Text soft as="span">
                      {w.validUntil(dayText(validUntil, today))}
                    </Text>
                  )}
                  <Text variant="figure">{writeMoney(totalCents)}</Text>
                </li>
              ))}
            </Rows>
          )}
          {changes !== null && changes.length === 0 && <Text soft>{w.holds}</Text>}
        </Block>
      </Work>
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
    void askShop(`/api/v1/jobs/${job.id}/quotes/${newest}`)
      .then((response) => (response.ok ? (response.json() as Promise<Quote>) : null))
      .then((quote) => !late && setGiven(quote))
      .catch(() => undefined);
    return () => {
      late = true;
    };
  }, [job.id, newest]);
  return given && given.revision === newest ? quoteChanges(given, draft) : null;
}
