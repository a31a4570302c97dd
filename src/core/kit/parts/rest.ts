import { mm } from '../../units';
import { attr, lengthMm, oneOf, orNone, several, yesNo } from './attr';
import { good, place } from './part';

const DRIVES = {
  limbDriven: 'limb-driven',
  cableDriven: 'cable-driven',
  containment: 'containment',
};

export const REST = place({
  name: 'Rest',
  need: 'required',
  onTheBow: true,
  weight: 10,
  startsPapers: true,
  drawing: 'rest',
  attrs: {
    drive: attr(
      oneOf('limbDriven', 'cableDriven', 'containment'),
      'Drive',
      'What moves it',
      'cableDriven',
    ),
    mount: attr(oneOf('plungerBolt', 'dovetail'), 'Mount', 'How the riser holds it', 'plungerBolt'),
    minDrawMm: attr(
      lengthMm(350, 900),
      'Shortest draw',
      'Shortest draw length it works at',
      mm(600),
    ),
    maxDrawMm: attr(lengthMm(350, 900), 'Longest draw', 'Longest draw length it works at', mm(810)),
    maxShaftMm: attr(lengthMm(4, 12), 'Thickest shaft', 'Thickest shaft it takes', mm(9.5)),
    /** Riser as wide as it reaches over; past it a spacer block is needed. Null when not known. */
    riserWidthMm: attr(
      orNone(lengthMm(8, 100)),
      'Reaches over',
      'Widest riser it reaches over without a spacer block',
      mm(30),
    ),
    /** A spacer block comes with it. */
    spacer: attr(yesNo, 'Spacer block', 'A spacer block comes with it', false),
    /** Launchers or springs it comes with; empty when there is nothing to choose or not known. */
    tensions: attr(
      several(3, 'light', 'medium', 'heavy'),
      'Launchers',
      'Launchers or springs it comes with',
      ['light', 'medium'],
    ),
    /** Holds the arrow when the bow is turned over. */
    contains: attr(yesNo, 'Holds the arrow', 'The arrow stays when the bow is turned over', true),
    /** Tallest vane that passes it; null when not known. */
    vaneRoomMm: attr(
      orNone(lengthMm(2, 40)),
      'Room for a vane',
      'Tallest vane that passes it',
      mm(14),
    ),
  },
  faults: ({ minDrawMm, maxDrawMm }) => [
    minDrawMm > maxDrawMm && ['minDrawMm', 'is longer than the longest draw'],
  ],
  glance: ({ drive, mount, spacer }) => [
    DRIVES[drive],
    mount === 'dovetail' ? 'dovetail' : 'plunger-hole bolt',
    spacer && 'spacer block with it',
  ],
  does: ({ attrs: { drive } }) =>
    drive === 'containment'
      ? { factor: 0.95, reasons: ['simple, nothing to time'] }
      : good('falls away, no vane touches it'),
});
