'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import type { Hit } from '@/core/flight';
import { mm, read, type ReadOptions } from '@/core/units';
import { useJob } from '../../job/JobProvider';
import { lane as w } from '../../words';
import { SmallNumber } from './SmallNumber';

/** A hit measured with the rule instead of tapped. */
export function TypedHit({ onHit }: { onHit: (hit: Hit) => void }) {
  const units = useJob().snapshot.shop.units;
  const [text, setText] = useState({ right: '', up: '' });
  const options = (what: string): ReadOptions => ({
    quantity: 'length',
    shop: units,
    bareUnit: 'mm',
    min: -3000,
    max: 3000,
    what,
  });
  const right = read(text.right, options(w.hitRight));
  const up = read(text.up, options(w.hitUp));
  return (
    <form
      className="typed-hit"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (!right.ok || !up.ok) return;
        onHit({ rightMm: mm(right.si), upMm: mm(up.si) });
        setText({ right: '', up: '' });
        document.querySelector<HTMLElement>('[data-measure]')?.focus();
      }}
    >
      <SmallNumber
        label={w.hitRight}
        text={text.right}
        onText={(value) => setText({ ...text, right: value })}
        result={right}
        current
      />
      <SmallNumber
        label={w.hitUp}
        text={text.up}
        onText={(value) => setText({ ...text, up: value })}
        result={up}
      />
      <Button type="submit" variant="outlined" disabled={!right.ok || !up.ok}>
        {w.addHit}
      </Button>
    </form>
  );
}
