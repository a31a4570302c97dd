'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { PAYMENT_WAYS, type PaymentWay } from '@/core/job';
import { writeMoney } from '@/core/units';
import { Choice } from '../../fields/Choice';
import { whenText } from '../../fields/dates';
import { TextField } from '../../fields/TextField';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { Actions, Rows } from '../../pieces/layout';
import { FieldError } from '../../pieces/texts';
import { Text } from '../../pieces/Text';
import { delivery as w } from '../../words';
import css from './Delivery.module.css';

/** Money that was noted, and what can be noted next. */
export function Payments({ leftCents, totalCents }: { leftCents: number; totalCents: number }) {
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
