import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

/** A finer dot than 0.029 in fades first at dusk; more than three crowd the picture. Shop rule. */
const LEAST_DOT_MM = 0.6;
const MOST_PINS = 3;

export const sightLight: KitRule = {
  id: 'sight-light',
  name: 'Pins for the light',
  slots: ['sight'],
  hard: false,
  check({ kit, lowLight }) {
    if (!lowLight) return fits;
    const sight = itemOf(kit, 'sight');
    if (!sight) return cannotTell('the pins of the archer’s own sight');
    const { pins, pinMm } = sight.attrs;
    const against = [
      ...(pins > MOST_PINS ? [`${pins} pins`] : []),
      ...(pinMm < LEAST_DOT_MM ? [`dots of ${pinMm} mm`] : []),
    ];
    return against.length === 0
      ? fits
      : doesNotFit(`often dim: fewer, larger pins are seen longer; this has ${against.join(', ')}`);
  },
};
