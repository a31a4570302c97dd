'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { moneyOf, PAYMENT_WAYS, type PaymentWay } from '@/core/job';
import { jobTotal } from '@/core/quote';
import { writeMoney } from '@/core/units';
import { Choice } from '../../fields/Choice';
import { dayText, whenText } from '../../fields/dates';
import { TextField } from '../../fields/TextField';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { Actions, Block, Rows } from '../../pieces/layout';
import { FieldError, Tag } from '../../pieces/texts';
import { Text } from '../../pieces/Text';
import paperPageCss from '../../pieces/PaperPage.module.css';
import { delivery as w, handover } from '../../words';
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

/** The quote that was said yes to, or those that can be. */
function AcceptedQuote({ totalCents }: { totalCents: number }) {
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

function Extras() {
  const { snapshot, send } = useJob();
  const kept = useKept(`${snapshot.job.id}.extra`, () => ({ text: '', entered: '' }));
  const { text, entered } = kept.value;
  const [trouble, setTrouble] = useState('');
  const add = async () => {
    const refused = await send({ name: 'addExtra', text, entered });
    setTrouble(refused?.message ?? '');
    if (!refused) kept.forget();
  };
  return (
    <>
      {snapshot.job.extras.length > 0 && (
        <Rows className={css.lines} data-part="extras">
          {snapshot.job.extras.map(({ id, text: name, cents }) => (
            <li key={id}>
              <span>{name}</span>
              <Text variant="figure">{writeMoney(cents)}</Text>
              <Button variant="text" onClick={() => void send({ name: 'removeExtra', id })}>
                {w.takeOff}
              </Button>
            </li>
          ))}
        </Rows>
      )}
      <form
        className={css.entry}
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <TextField
          id="extra-text"
          label={w.extraText}
          autoComplete="off"
          value={text}
          slotProps={{ htmlInput: { maxLength: 120 } }}
          onChange={({ target }) => kept.set((now) => ({ ...now, text: target.value }))}
        />
        <TextField
          id="extra-amount"
          label={w.extraAmount}
          autoComplete="off"
          value={entered}
          helperText={w.extraHint}
          slotProps={{ htmlInput: { maxLength: 40 } }}
          onChange={({ target }) => kept.set((now) => ({ ...now, entered: target.value }))}
        />
        <Button type="submit" variant="outlined" disabled={entered.trim() === ''}>
          {w.addLine}
        </Button>
      </form>
      <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
    </>
  );
}

function Payments({ leftCents, totalCents }: { leftCents: number; totalCents: number }) {
  const { snapshot, send, sending } = useJob();
  const { payments, shop, today } = snapshot;
  const kept = useKept(`${snapshot.job.id}.payment`, () => ({
    entered: '',
    way: 'card' as PaymentWay,
  }));
  const { entered, way } = kept.value;
  const [trouble, setTrouble] = useState('');
  const isFirst = payments.length === 0;
  const note = async (kind: 'deposit' | 'rest' | 'back', amount: string) => {
    const refused = await send({ name: 'notePayment', kind, way, entered: amount });
    setTrouble(refused?.message ?? '');
    if (!refused) kept.set((now) => ({ ...now, entered: '' }));
  };
  const deposit = Math.round((totalCents * shop.quote.depositPct) / 100);
  return (
    <>
      {payments.length > 0 && (
        <Rows className={css.lines} data-part="payments">
          {payments.map(({ id, kind, cents, way: by, at, who }) => (
            <li key={id}>
              <span>
                {w.kinds[kind]}, {PAYMENT_WAYS.find((one) => one.id === by)!.name}{' '}
                <Text variant="small" soft as="span">
                  {whenText(at, shop.timeZone, today)}, {who}
                </Text>
              </span>
              <Text variant="figure">{writeMoney(cents)}</Text>
              <Button
                variant="text"
                onClick={() => void send({ name: 'removePayment', payment: id })}
              >
                {w.takeOff}
              </Button>
            </li>
          ))}
        </Rows>
      )}
      <Choice
        label={w.way}
        value={way}
        options={PAYMENT_WAYS}
        onChange={(next) => kept.set((now) => ({ ...now, way: next as PaymentWay }))}
      />
      <div className={css.entry}>
        <TextField
          id="payment-amount"
          label={w.amount}
          autoComplete="off"
          value={entered}
          slotProps={{ htmlInput: { maxLength: 40 } }}
          onChange={({ target }) => kept.set((now) => ({ ...now, entered: target.value }))}
        />
        <Button
          variant="outlined"
          disabled={sending || entered.trim() === ''}
          onClick={() => void note(isFirst ? 'deposit' : 'rest', entered)}
        >
          {isFirst ? w.noteDeposit : w.notePaid}
        </Button>
        {payments.length > 0 && (
          <Button
            variant="text"
            disabled={sending || entered.trim() === ''}
            onClick={() => void note('back', entered)}
          >
            {w.noteBack}
          </Button>
        )}
      </div>
      <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
      {leftCents > 0 && (
        <Actions>
          {isFirst && deposit > 0 && deposit < leftCents && (
            <Button
              variant="outlined"
              disabled={sending}
              onClick={() => void note('deposit', (deposit / 100).toFixed(2))}
            >
              {w.depositOf(writeMoney(deposit))}
            </Button>
          )}
          <Button
            variant="outlined"
            disabled={sending}
            onClick={() => void note('rest', (leftCents / 100).toFixed(2))}
          >
            {w.restOf(writeMoney(leftCents))}
          </Button>
        </Actions>
      )}
    </>
  );
}
