'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { SLOTS, type Slot, type SlotInfo } from '@/core/kit';
import { writeMoney } from '@/core/units';
import { Text } from '../../pieces/Text';
import { useJob } from '../../job/JobProvider';
import { useStage } from '../../job/useStage';
import { kit as w } from '../../words';
import css from './SlotList.module.css';

/** The places with what fills them; the rarer ones stand behind a word until one is wanted. */
export function SlotList({ current }: { current: Slot }) {
  const { derived } = useJob();
  const filled = ({ id, usual }: SlotInfo) => usual || derived.kit[id] !== undefined;
  const [all, setAll] = useState(!SLOTS.some((slot) => slot.id === current && filled(slot)));
  const shown = SLOTS.filter((slot) => all || filled(slot));
  const hidden = SLOTS.filter((slot) => !filled(slot)).length;
  return (
    <nav className={css.slots} data-part="slots" aria-label={w.slots}>
      {shown.map((slot) => (
        <SlotLine key={slot.id} slot={slot} current={slot.id === current} />
      ))}
      {hidden > 0 && (
        <Button type="button" variant="link" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? w.fewer : w.more(hidden)}
        </Button>
      )}
    </nav>
  );
}

function SlotLine({ slot: { id, name, required }, current }: { slot: SlotInfo; current: boolean }) {
  const { snapshot, derived } = useJob();
  const { href } = useStage();
  const part = derived.kit[id];
  const waits = snapshot.parts.find((p) => p.slot === id)?.arrivesDay;
  return (
    <Link
      href={href('kit', { slot: id })}
      scroll={false}
      prefetch={false}
      aria-current={current ? 'true' : undefined}
    >
      <span className={css.slotName}>
        {name}
        {part?.owned && ` · ${w.own}`}
      </span>
      <span className={css.slotPart}>
        {part ? part.label : <i>{required ? w.choose : w.optional}</i>}
      </span>
      <Text variant="figure" className={css.slotPrice}>
        {part && !part.owned && writeMoney(part.priceCents)}
        {waits && waits > snapshot.today && ' *'}
      </Text>
    </Link>
  );
}
