import { cannotTell, doesNotFit, fits, SLOTS, type KitRule } from '../types';

export const hand: KitRule = {
  id: 'hand',
  name: 'Parts are for the bow’s hand',
  slots: [],
  hard: true,
  check({ bow, kit }) {
    if (!bow) return cannotTell('no bow chosen yet');
    const wrong = SLOTS.map(({ id }) => kit[id]).find(
      (part) => part?.item && part.item.hand !== 'both' && part.item.hand !== bow.hand,
    );
    return wrong ? doesNotFit(`${wrong.label} is for a ${wrong.item!.hand}-hand bow`) : fits;
  },
};
