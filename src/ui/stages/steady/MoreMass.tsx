'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { otherMass, type BarQuestion } from '@/core/steady';
import { Actions, Block } from '../../pieces/layout';
import { Text } from '../../pieces/Text';
import { Note } from '../../pieces/texts';
import { steady as w } from '../../words';
import type { Trial } from './useTrial';

const BY_G = [-100, -50, 50, 100] as const;

/** More to carry, or less, so that the bow does what it does now. */
export function MoreMass({ question, trial }: { question: BarQuestion; trial: Trial }) {
  const [said, setSaid] = useState('');
  const { front, rear } = trial.bars;
  if (!front && !rear) return null;
  const put = (byG: number) => {
    const found = otherMass(question, trial.bars, byG);
    if (!found.ok) return setSaid(found.message);
    if (found.steps.length === 0) return setSaid(w.moreSame);
    setSaid(found.quiet ? '' : w.moreNotQuiet);
    trial.show(found.way.bars);
  };
  return (
    <Block data-part="more-mass">
      <h3>{w.more}</h3>
      <Text variant="small" soft as="p">
        {w.moreHow}
      </Text>
      <Actions>
        {BY_G.map((byG) => (
          <Button key={byG} variant="outlined" onClick={() => put(byG)}>
            {w.moreBy(byG)}
          </Button>
        ))}
      </Actions>
      {said && <Note role="status">{said}</Note>}
    </Block>
  );
}
