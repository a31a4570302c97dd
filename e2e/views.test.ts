import { everyView } from './every-view';

/** Views from Today to the kit. */
everyView([
  ['today', null, '/', 'The bench today'],
  ['delivered bows', null, '/delivered', 'the newest first'],
  ['shop settings', null, '/shop', 'How numbers are written'],
  ['meet', 'Noor', 'meet', 'What do you want to shoot?'],
  ['full draw', 'Noor', 'fit?part=posture', 'contradict each other'],
  ['eye', 'Ove', 'fit?part=eye', 'how to go on'],
  ['release', 'Ove', 'fit?part=release', 'A firm wall is wanted'],
  ['old bow', 'Jarle', 'fit?part=old', 'Peep above the arrow'],
  ['draw-off', 'Casimir', 'bow?part=drawOff', 'What they liked'],
  ['twists', 'Ilse', 'bow?part=twists', 'The rest of the draw length'],
  ['bows of the shop', null, '/shop/bows', 'Read a file'],
  ['draw length', 'Ilse', 'fit', '3 methods agree'],
  ['draw weight', 'Ilse', 'fit?part=weight', 'start weight'],
  ['bows', 'Noor', 'bow?part=choose', '2 of 14 in the shop fit'],
  ['module', 'Ilse', 'bow?part=module', 'Two cams carry a module'],
  ['limb bolts', 'Ilse', 'bow?part=bolts', 'Turning plan'],
  ['draw force', 'Ilse', 'bow?part=force', 'a pound more weight'],
  ['kit', 'Ove', 'kit?slot=sight', 'does not fit'],
  ['packages', 'Ove', 'kit?part=packages', 'What more money buys'],
  ['ways out', 'Bettina', 'kit?part=packages', 'Whole packages'],
  ['arrow', 'Aino', 'kit?part=arrow', 'Front of centre'],
  ['quote', 'Ilse', 'kit?part=quote', 'Give this quote'],
  ['parts of the shop', null, '/shop/parts', 'Rohrdommel Kiebitz'],
  ['orders', null, '/orders', 'Vassdrag Lever Pro'],
]);
