'use client';
import { useState } from 'react';
import Link from 'next/link';
import ToggleButton from '@mui/material/ToggleButton';
import { missingSlots, slotName, type Slot } from '@/core/kit';
import { useJob } from '../../job/JobProvider';
import { useStage } from '../../job/useStage';
import { Actions, Block } from '../../pieces/layout';
import { FieldError, Note } from '../../pieces/texts';
import { Text } from '../../pieces/Text';
import { elsewhere as w } from '../../words';
import css from './BoxKit.module.css';

/** What a box holds as a rule, in the order it is unpacked; release and arrows mostly are not in it. */
const IN_BOX: readonly Slot[] = [
  'rest',
  'sight',
  'quiver',
  'stabiliser',
  'sling',
  'peep',
  'loop',
  'dampeners',
  'release',
  'arrows',
];

/** What came with the bow becomes the kit; what is needed and is not there is named. */
export function BoxKit() {
  const { derived, send, sending } = useJob();
  const { href } = useStage();
  const [trouble, setTrouble] = useState('');
  const { kit } = derived;
  const missing = missingSlots(kit);
  const toggle = async (slot: Slot) => {
    const there = kit[slot] !== undefined;
    const refused = await send({
      ...{ name: 'choosePart', slot, itemId: null, owned: !there },
      label: there ? '' : `${slotName(slot)}, ${w.fromBox}`,
    });
    setTrouble(refused?.message ?? '');
  };
  return (
    <Block>
      <h3>{w.kit}</h3>
      <Text soft>{w.kitLead}</Text>
      <div className={css.slots} data-part="box">
        {IN_BOX.map((slot) => (
          <ToggleButton
            key={slot}
            value={slot}
            selected={kit[slot] !== undefined}
            disabled={sending || (kit[slot] !== undefined && !kit[slot].owned)}
            onChange={() => void toggle(slot)}
          >
            {slotName(slot)}
          </ToggleButton>
        ))}
      </div>
      <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
      {missing.length > 0 ? (
        <Note role="status">
          {w.missing(missing.map((slot) => slotName(slot).toLowerCase()).join(', '))}
        </Note>
      ) : (
        <Text soft role="status">
          {w.complete}
        </Text>
      )}
      <Actions>
        <Link
          href={href('kit', { slot: missing[0] ?? 'rest', ...(missing[0] ? {} : { from: 'own' }) })}
          prefetch={false}
        >
          {w.toKit}
        </Link>
      </Actions>
    </Block>
  );
}
