'use client';
import { Choice, type ChoiceOption } from '../fields/Choice';
import { usePadHand, type Hand } from '../keep/on-tablet';
import { Block, Questions } from '../pieces/layout';
import { shopWords as w } from '../words';

/** What is set for the tablet in hand and not for the shop. */
export function TabletSettings() {
  const [hand, setHand] = usePadHand();
  return (
    <Block as={Questions}>
      <h2>{w.tablet}</h2>
      <Choice
        label={w.padHand}
        value={hand}
        options={w.padHands as readonly ChoiceOption<Hand>[]}
        onChange={setHand}
        hint={w.tabletHint}
      />
    </Block>
  );
}
