import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

export const barWeights: KitRule = {
  id: 'bar-weights',
  name: 'Weights screw onto the bar',
  slots: ['weights'],
  sees: ['stabiliser', 'rearBar'],
  hard: true,
  check({ kit }) {
    const weights = itemOf(kit, 'weights');
    if (!weights) return cannotTell('the thread of the archer’s own weights');
    const bars = [kit.stabiliser, kit.rearBar].filter((part) => part !== undefined);
    if (bars.length === 0) return cannotTell('no bar chosen yet to screw them on');
    const threads = [itemOf(kit, 'stabiliser'), itemOf(kit, 'rearBar')].flatMap((bar) =>
      bar ? [bar.attrs.weightThread] : [],
    );
    if (threads.includes(weights.attrs.thread)) return fits;
    return threads.length < bars.length
      ? cannotTell('the thread of the archer’s own bar')
      : doesNotFit(`thread ${weights.attrs.thread}; the bar has ${threads.join(' and ')}`);
  },
};
