'use client';
import Button from '@mui/material/Button';
import type { Hit } from '@/core/flight';
import { mm, read, type ReadOptions } from '@/core/units';
import { Dock } from '../../job/Dock';
import { useJob } from '../../job/JobProvider';
import { useDraft } from '../../keep/useDraft';
import { lane as w } from '../../words';
import { NumberSet } from '../../fields/NumberSet';

/** A hit measured with the rule instead of tapped. */
export function TypedHit({ onHit }: { onHit: (hit: Hit) => void }) {
  const { job, shop } = useJob().snapshot;
  const units = shop.units;
  const [rightText, setRight] = useDraft(`${job.id}.hit.r`);
  const [upText, setUp] = useDraft(`${job.id}.hit.u`);
  const options = (what: string): ReadOptions => ({
    quantity: 'length',
    shop: units,
    bareUnit: 'mm',
    min: -3000,
    max: 3000,
    what,
  });
  const right = read(rightText, options(w.hitRight));
  const up = read(upText, options(w.hitUp));
  return (
    <Dock>
      <NumberSet
        numbers={[
          {
            label: w.hitRight,
            text: rightText,
            onText: setRight,
            result: right,
            options: options(w.hitRight),
          },
          { label: w.hitUp, text: upText, onText: setUp, result: up, options: options(w.hitUp) },
        ]}
        onSubmit={() => {
          if (!right.ok || !up.ok) return;
          onHit({ rightMm: mm(right.si), upMm: mm(up.si) });
          setRight('');
          setUp('');
        }}
      >
        <Button type="submit" variant="outlined" fullWidth disabled={!right.ok || !up.ok}>
          {w.addHit}
        </Button>
      </NumberSet>
    </Dock>
  );
}
