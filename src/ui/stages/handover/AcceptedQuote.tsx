'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { writeMoney } from '@/core/units';
import { dayText } from '../../fields/dates';
import { useJob } from '../../job/JobProvider';
import { Actions } from '../../pieces/layout';
import { FieldError, Tag } from '../../pieces/texts';
import { Text } from '../../pieces/Text';
import { delivery as w } from '../../words';

/** The quote that was said yes to, or those that can be. */
export function AcceptedQuote({ totalCents }: { totalCents: number }) {
  const { snapshot, send } = useJob();
  const [trouble, setTrouble] = useState('');
  const { quotes, job, today } = snapshot;
  const { accepted } = job;
  const open = quotes.filter(
    ({ revision, validUntil }) => validUntil >= today && revision !== accepted?.revision,
  );
  const accept = async (revision: number) =>
    setTrouble((await send({ name: 'acceptQuote', revision }))?.message ?? '');
  return (
    <>
      {accepted ? (
        <p>
          {w.accepted(
            accepted.revision,
            writeMoney(accepted.totalCents),
            dayText(accepted.day, today),
          )}{' '}
          {accepted.totalCents !== totalCents && (
            <Tag kind="again">
              {w.differs(
                writeMoney(Math.abs(totalCents - accepted.totalCents)),
                totalCents > accepted.totalCents,
              )}
            </Tag>
          )}
        </p>
      ) : (
        quotes.length === 0 && (
          <p>
            <Text soft as="span">
              {w.noQuote}
            </Text>{' '}
            <Link href={`/jobs/${job.id}/kit?part=quote`} prefetch={false}>
              {w.toQuote}
            </Link>
          </p>
        )
      )}
      {open.length > 0 && (
        <Actions>
          {open.slice(0, 2).map((quote) => (
            <Button
              key={quote.revision}
              variant="outlined"
              onClick={() => void accept(quote.revision)}
            >
              {w.accept(quote.revision, writeMoney(quote.totalCents))}
            </Button>
          ))}
        </Actions>
      )}
      <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
    </>
  );
}
