import { mm } from '../../units';
import { attr, count, lengthMm, oneOf, orNone, yesNo } from './attr';
import { good, place, plain } from './part';
import { massPlace } from './shared';

export const SIGHT = place({
  name: 'Sight',
  need: 'required',
  onTheBow: true,
  weight: 9,
  weightFor: { field: 10 },
  drawing: 'sight',
  attrs: {
    mount: attr(oneOf('sidePlate', 'frontRail'), 'Mount', 'How the riser holds it', 'sidePlate'),
    pins: attr(count(1, 9), 'Pins', 'How many pins', 3),
    /** Of one pin's dot. */
    pinMm: attr(lengthMm(0.1, 3), 'Dot', 'Across one pin’s dot', mm(0.48)),
    slides: attr(yesNo, 'Slides', 'The housing slides on a scale', false),
    travelMm: attr(lengthMm(0, 200), 'Travel', 'Up and down', mm(24)),
    thirdAxis: attr(yesNo, 'Third axis', 'The third axis is adjustable', true),
    microAdjust: attr(yesNo, 'Micro-adjust', 'Pins move by a screw', false),
    /** How far a pin or the housing goes for one click; null where it has none or it is not known. */
    clickMm: attr(
      orNone(lengthMm(0.005, 2)),
      'One click',
      'How far the pin goes for one click',
      mm(0.1),
    ),
    /** How far the housing stands ahead of the riser; null when not known. */
    extensionMm: attr(orNone(lengthMm(0, 400)), 'Extension', 'Housing ahead of the grip', mm(150)),
    electronics: attr(yesNo, 'Electronics', 'A light or battery is built in', false),
    /** Has the thread for a light. */
    lightThread: attr(yesNo, 'Thread for a light', 'A light can be screwed in', true),
    housingRadiusMm: attr(lengthMm(8, 60), 'Housing radius', 'Half the housing’s width', mm(22)),
    carriesQuiver: attr(yesNo, 'Carries a quiver', 'A quiver can sit on its bracket', false),
    ...massPlace(110, 120, 30),
  },
  glance: ({ pins, slides, thirdAxis, mount, electronics }) => [
    `${pins} ${pins === 1 ? 'pin' : 'pins'}${slides ? ', slides' : ', fixed'}`,
    thirdAxis ? 'three axes' : 'two axes',
    mount === 'frontRail' ? 'front rail' : 'side plate',
    electronics && 'electronics',
  ],
  does: ({ attrs: { slides, pins, pinMm } }, { furthestM, lowLight }) => {
    if (lowLight && pins <= 3 && pinMm >= 0.6) return good('few, large pins for dim light');
    return slides && furthestM !== null && furthestM > 40
      ? good('slides, for every distance out to the furthest')
      : plain;
  },
});
