'use client';
import { useState } from 'react';
import { latest, readingText, setupValue, type SetupKey } from '@/core/setup';
import { Press } from '../pieces/Press';
import { WithFractions } from '../fields/Figure';
import { frame } from '../words';
import { useJob } from './JobProvider';
import css from './Still.module.css';

/** One tap for what was looked at again and found as it was: "still 6 in". */
export function Still({ of }: { of: SetupKey }) {
  const { derived, snapshot, send } = useJob();
  const [busy, setBusy] = useState(false);
  const reading = latest(derived.history, of);
  const stale = derived.plan.stale.some(({ key }) => key === of);
  if (!reading || !stale) return null;
  const isTick = setupValue(of).kind === 'check';
  const value = isTick ? frame.stillSo : frame.still(readingText(reading, snapshot.shop.units));
  return (
    <Press
      type="button"
      className={css.still}
      data-part="still"
      disabled={busy}
      onClick={() => {
        setBusy(true);
        void send({ name: 'confirmReadings', keys: [of] }).then(() => setBusy(false));
      }}
    >
      <WithFractions text={value} />
    </Press>
  );
}
