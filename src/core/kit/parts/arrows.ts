import { gram, mm } from '../../units';
import { attr, count, lengthMm, massG, orNone, spineIn } from './attr';
import { place } from './part';
import { shaftText, spineText } from './shared';

export const ARROWS = place({
  name: 'Arrows',
  need: 'required',
  onTheBow: false,
  weight: 8,
  startsPapers: true,
  drawing: 'arrows',
  attrs: {
    count: attr(count(1, 144), 'In the set', 'Arrows in a set', 12),
    shaftOuterMm: attr(lengthMm(3, 12), 'Shaft', 'Outer diameter', mm(6.9)),
    shaftLengthMm: attr(
      lengthMm(350, 900),
      'Length',
      'Nock end to front end of the shaft',
      mm(736),
    ),
    staticSpineIn: attr(spineIn(0.15, 2.5), 'Spine', 'Deflection, ASTM F2031', 0.5),
    /** One finished arrow; `massG` of the item is the same. */
    pointAndInsertG: attr(massG(1, 40), 'Point and insert', 'Together', gram(7.8)),
    vaneHeightMm: attr(lengthMm(2, 30), 'Vane height', 'From the shaft’s skin', mm(11)),
    /** Half the width of a broadhead with fixed blades; null for other points. */
    bladeMm: attr(
      orNone(lengthMm(5, 40)),
      'Fixed blade',
      'Middle of the shaft to the blade’s edge; empty for other points',
      mm(14),
    ),
  },
  glance: (arrows, say, each) => [
    `${arrows.count} arrows`,
    spineText(arrows.staticSpineIn),
    say.mass(each),
    say.length(arrows.shaftLengthMm),
    shaftText(arrows.shaftOuterMm),
  ],
  saysMass: true,
});
