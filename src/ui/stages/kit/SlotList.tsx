'use client';
import Link from 'next/link';
import { SLOTS, type Slot } from '@/core/kit';
import { writeMoney } from '@/core/units';
import { useJob } from '../../job/JobProvider';
import { useStage } from '../../job/useStage';
import { kit as w } from '../../words';

/** The eight places with what fills them. */
export function SlotList({ current }: { current: Slot }) {
  const { snapshot, derived } = useJob();
  const { href } = useStage();
  return (
    <nav className="slots" aria-label={w.slots}>
      {SLOTS.map(({ id, name, required }) => {
        const part = derived.kit[id];
        const waits = snapshot.parts.find((p) => p.slot === id)?.arrivesDay;
        return (
          <Link
            key={id}
            href={href('kit', { slot: id })}
            scroll={false}
            prefetch={false}
            aria-current={id === current ? 'true' : undefined}
          >
            <span className="slot-name">
              {name}
              {part?.owned && ` · ${w.own}`}
            </span>
            <span className="slot-part">
              {part ? part.label : <i>{required ? w.choose : w.optional}</i>}
            </span>
            <span className="slot-price figure">
              {part && !part.owned && writeMoney(part.priceCents)}
              {waits && waits > snapshot.today && ' *'}
            </span>
          </Link>
        );
      })}
    </nav>
  );
}
