'use client';
import Button from '@mui/material/Button';
import { NO_BARS } from '@/core/balance';
import type { BowRecord } from '@/core/bow';
import { barMoves, type BarsInStock, type QuiverState } from '@/core/steady';
import { useJob } from '../../job/JobProvider';
import { Block, Rows } from '../../pieces/layout';
import { WithFractions } from '../../fields/Figure';
import { Text } from '../../pieces/Text';
import { Note } from '../../pieces/texts';
import { steady as w } from '../../words';
import { lengthOf, signedGrams, torque } from './say';
import { useBalance } from './useBalance';
import type { Trial } from './useTrial';
import css from './BarMoves.module.css';

/** As many as a hand weighs up. */
const SHOWN = 6;

/** What one hand can do next, what it does, and which helps most. */
export function BarMoves({
  bow,
  stock,
  trial,
  quiver,
}: {
  bow: BowRecord;
  stock: BarsInStock;
  trial: Trial;
  quiver: QuiverState;
}) {
  const { bare, at, neutral } = useBalance(bow);
  const { parts } = at({ bars: NO_BARS, quiver, sightOut: false });
  const units = useJob().snapshot.shop.units;
  const moves = barMoves(trial.bars, {
    hand: bow.hand,
    bare,
    others: parts,
    stock,
    neutral,
    sayLength: (mm) => lengthOf(mm, units),
  });
  return (
    <Block data-part="moves">
      <h3>{w.moves}</h3>
      {moves.length === 0 ? (
        <Text soft>{w.noMoves}</Text>
      ) : (
        <>
          <Text variant="small" soft as="p">
            {moves[0]!.helpsNmm > 0 ? w.movesHow : w.noneHelps}
          </Text>
          <Rows className={css.moves}>
            {moves.slice(0, SHOWN).map((move) => (
              <li key={move.id} data-move={move.id}>
                <span>
                  <span className={css.say}>
                    <WithFractions text={move.say} />
                  </span>
                  <Text variant="small" soft>
                    {w.moveDoes(
                      torque(move.rollNmm),
                      torque(move.pitchNmm),
                      signedGrams(move.massG),
                    )}
                  </Text>
                </span>
                {move.helpsNmm > 0 ? (
                  <b>{w.helps(move.helpsNmm)}</b>
                ) : (
                  <Text soft as="span">
                    {w.helps(move.helpsNmm)}
                  </Text>
                )}
                <Button variant="outlined" onClick={() => trial.show(move.bars)}>
                  {w.tryIt}
                </Button>
              </li>
            ))}
          </Rows>
          {moves.slice(0, SHOWN).some(({ teeth }) => teeth) && <Note>{w.teeth}</Note>}
        </>
      )}
    </Block>
  );
}
