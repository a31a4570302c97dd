'use client';
import Add from '@mui/icons-material/Add';
import Remove from '@mui/icons-material/Remove';
import IconButton from '@mui/material/IconButton';
import type { Bars } from '@/core/balance';
import type { BarsInStock } from '@/core/steady';
import { Text } from '../../pieces/Text';
import { steady as w } from '../../words';
import { discFor, type Trial } from './useTrial';
import css from './DiscButtons.module.css';

/** A disc more or less at the end of each bar. */
export function DiscButtons({
  bars,
  turn,
  stock,
}: {
  bars: Bars;
  turn: Trial['turn'];
  stock: BarsInStock;
}) {
  return (['front', 'rear'] as const).map((side) => {
    const set = bars[side];
    if (!set) return null;
    const count = set.discs?.count ?? 0;
    return (
      <div key={side} className={css.discs} data-discs={side}>
        <Text soft as="span">
          {w.sides[side]}
        </Text>
        <IconButton
          className={css.press}
          aria-label={w.discLess(side)}
          disabled={count === 0}
          onClick={() => turn(side, { disc: -1 })}
        >
          <Remove />
        </IconButton>
        <Text variant="figure">{w.discs(count)}</Text>
        <IconButton
          className={css.press}
          aria-label={w.discMore(side)}
          disabled={count >= set.bar.mostDiscs || discFor(side, set, stock) === null}
          onClick={() => turn(side, { disc: 1 })}
        >
          <Add />
        </IconButton>
      </div>
    );
  });
}
