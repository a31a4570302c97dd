'use client';
import Button from '@mui/material/Button';
import type { Hit } from '@/core/flight';
import { laneEntry } from '@/core/job';
import { mm, read } from '@/core/units';
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
  const options = { right: laneEntry('hitRight', units), up: laneEntry('hitUp', units) };
  const right = read(rightText, options.right);
  const up = read(upText, options.up);
  return (
    <Dock>
      <NumberSet
        numbers={[
          {
            label: w.hitRight,
            text: rightText,
            onText: setRight,
            result: right,
            options: options.right,
          },
          { label: w.hitUp, text: upText, onText: setUp, result: up, options: options.up },
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
