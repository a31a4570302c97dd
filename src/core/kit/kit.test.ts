import { aBow, aKitContext, anItem, aPart, kitOf, ownKit } from '../testing/fixtures';
import { gram, metre, mm, newton } from '../units';
import { checkKit, itemOf, kitPriceCents, missingSlots, objections, SLOTS } from '.';
import { KIT_RULES } from './rules';
import type { KitContext, Slot, Verdict } from './types';

const rest = (attrs: Parameters<typeof anItem<'rest'>>[1] = {}, changes = {}) =>
  aPart(anItem('rest', attrs, changes), 'rest');
const sight = (attrs: Parameters<typeof anItem<'sight'>>[1] = {}, changes = {}) =>
  aPart(anItem('sight', attrs, changes), 'sight');
const arrows = (attrs: Parameters<typeof anItem<'arrows'>>[1] = {}, changes = {}) =>
  aPart(anItem('arrows', attrs, changes), 'arrows');
const quiver = (attrs: Parameters<typeof anItem<'quiver'>>[1] = {}) =>
  aPart(anItem('quiver', attrs), 'quiver');

const rule = (id: string) => {
  const found = KIT_RULES.find((entry) => entry.id === id);
  if (!found) throw new Error(`There is no rule ${id}`);
  return found;
};

/** Rule, what the kit is, what it says, and a piece of its reason. */
const CASES: readonly (readonly [string, string, Partial<KitContext>, Verdict, string])[] = [
  ['rest-mount', 'a bolt on a plunger hole', { kit: kitOf(rest()) }, 'fits', ''],
  [
    'rest-mount',
    'a dovetail on a riser without one',
    { kit: kitOf(rest({ mount: 'dovetail' })) },
    'doesNotFit',
    'a riser dovetail; this riser takes a bolt through the plunger hole',
  ],
  ['rest-mount', 'no bow yet', { bow: null, kit: kitOf(rest()) }, 'cannotTell', 'no bow'],
  ['rest-mount', 'their own rest', { kit: ownKit('rest') }, 'cannotTell', 'try it on the riser'],
  ['sight-mount', 'a side plate on a side plate', { kit: kitOf(sight()) }, 'fits', ''],
  [
    'sight-mount',
    'a rail sight on a side plate',
    { kit: kitOf(sight({ mount: 'frontRail' })) },
    'doesNotFit',
    'this riser has',
  ],
  ['sight-mount', 'no bow yet', { bow: null, kit: kitOf(sight()) }, 'cannotTell', 'no bow'],
  ['sight-mount', 'their own sight', { kit: ownKit('sight') }, 'cannotTell', 'own sight'],
  ['quiver-mount', 'on the riser', { kit: kitOf(quiver()) }, 'fits', ''],
  [
    'quiver-mount',
    'on a riser without holes',
    { bow: aBow({ quiverMounts: [] }), kit: kitOf(quiver()) },
    'doesNotFit',
    'no holes for a quiver',
  ],
  [
    'quiver-mount',
    'on a sight that carries one',
    { kit: kitOf(sight(), quiver({ mount: 'sight' })) },
    'fits',
    '',
  ],
  [
    'quiver-mount',
    'on a sight that carries none',
    { kit: kitOf(sight({ carriesQuiver: false }), quiver({ mount: 'sight' })) },
    'doesNotFit',
    'carries no quiver',
  ],
  [
    'quiver-mount',
    'on a sight not chosen yet',
    { kit: kitOf(quiver({ mount: 'sight' })) },
    'cannotTell',
    'no sight',
  ],
  ['quiver-mount', 'no bow yet', { bow: null, kit: kitOf(quiver()) }, 'cannotTell', 'no bow'],
  ['quiver-mount', 'their own quiver', { kit: ownKit('quiver') }, 'cannotTell', 'own quiver'],
  ['hand', 'parts for both hands', { kit: kitOf(rest(), sight()) }, 'fits', ''],
  [
    'hand',
    'a left-hand sight on a right-hand bow',
    { kit: kitOf(sight({}, { hand: 'left' })) },
    'doesNotFit',
    'for a left-hand bow',
  ],
  ['hand', 'no bow yet', { bow: null, kit: kitOf(rest()) }, 'cannotTell', 'no bow'],
  ['rest-shaft', 'a thin shaft', { kit: kitOf(rest(), arrows()) }, 'fits', ''],
  [
    'rest-shaft',
    'a thick shaft',
    { kit: kitOf(rest(), arrows({ shaftOuterMm: mm(10) })) },
    'doesNotFit',
    'the rest takes up to 9.5 mm',
  ],
  [
    'rest-shaft',
    'own arrows',
    { kit: { ...kitOf(rest()), ...ownKit('arrows') } },
    'cannotTell',
    'lay a shaft in',
  ],
  ['rest-draw-length', 'a draw in its range', { kit: kitOf(rest()) }, 'fits', ''],
  [
    'rest-draw-length',
    'at its very limit',
    { drawLengthMm: mm(810), kit: kitOf(rest()) },
    'fits',
    '',
  ],
  [
    'rest-draw-length',
    'a child’s draw',
    { drawLengthMm: mm(560), kit: kitOf(rest()) },
    'doesNotFit',
    'made for draws from',
  ],
  [
    'rest-draw-length',
    'no draw length yet',
    { drawLengthMm: null, kit: kitOf(rest()) },
    'cannotTell',
    'no draw length',
  ],
  ['rest-draw-length', 'their own rest', { kit: ownKit('rest') }, 'cannotTell', 'own rest'],
  ['arrow-mass', '24.6 g at 200 N', { kit: kitOf(arrows()) }, 'fits', ''],
  [
    'arrow-mass',
    'under five grains a pound',
    { peakN: newton(355), kit: kitOf(arrows()) },
    'doesNotFit',
    'like a dry fire',
  ],
  [
    'arrow-mass',
    'no weight yet',
    { peakN: null, kit: kitOf(arrows()) },
    'cannotTell',
    'no peak weight',
  ],
  ['arrow-mass', 'own arrows', { kit: ownKit('arrows') }, 'cannotTell', 'weigh one'],
  ['arrow-light', 'heavy enough', { kit: kitOf(arrows()) }, 'fits', ''],
  [
    'arrow-light',
    'between five and six grains a pound',
    { peakN: newton(305), kit: kitOf(arrows()) },
    'doesNotFit',
    'look at the bow’s manual',
  ],
  [
    'arrow-light',
    'below five is the other rule’s',
    { peakN: newton(355), kit: kitOf(arrows()) },
    'fits',
    '',
  ],
  ['arrow-light', 'own arrows', { kit: ownKit('arrows') }, 'cannotTell', 'weigh one'],
  [
    'arrow-light',
    'no weight yet',
    { peakN: null, kit: kitOf(arrows()) },
    'cannotTell',
    'no peak weight',
  ],
  ['arrow-length', 'past the rest at full draw', { kit: kitOf(arrows()) }, 'fits', ''],
  [
    'arrow-length',
    'a short shaft',
    { kit: kitOf(arrows({ shaftLengthMm: mm(660) })) },
    'doesNotFit',
    'at full draw at least',
  ],
  [
    'arrow-length',
    'no draw length yet',
    { drawLengthMm: null, kit: kitOf(arrows()) },
    'cannotTell',
    'no draw length',
  ],
  ['arrow-length', 'own arrows', { kit: ownKit('arrows') }, 'cannotTell', 'measure one'],
  ['arrow-spine', 'a good spine', { kit: kitOf(arrows({ staticSpineIn: 0.5 })) }, 'fits', ''],
  ['arrow-spine', 'weak', { kit: kitOf(arrows({ staticSpineIn: 0.7 })) }, 'doesNotFit', 'is weak'],
  [
    'arrow-spine',
    'stiff',
    { kit: kitOf(arrows({ staticSpineIn: 0.3 })) },
    'doesNotFit',
    'is stiff',
  ],
  [
    'arrow-spine',
    'no weight yet',
    { peakN: null, kit: kitOf(arrows()) },
    'cannotTell',
    'no peak weight',
  ],
  ['arrow-spine', 'own arrows', { kit: ownKit('arrows') }, 'cannotTell', 'spine'],
  ['quiver-shaft', 'clips that hold', { kit: kitOf(quiver(), arrows()) }, 'fits', ''],
  [
    'quiver-shaft',
    'clips too wide',
    { kit: kitOf(quiver({ minShaftMm: mm(8) }), arrows()) },
    'doesNotFit',
    'clips for 8 to 9 mm',
  ],
  [
    'quiver-shaft',
    'own quiver',
    { kit: { ...kitOf(arrows()), ...ownKit('quiver') } },
    'cannotTell',
    'try one',
  ],
  ['third-axis', 'near is fine without', { kit: kitOf(sight({ thirdAxis: false })) }, 'fits', ''],
  [
    'third-axis',
    'far without',
    { furthestM: metre(50), kit: kitOf(sight({ thirdAxis: false })) },
    'doesNotFit',
    'past 45 m',
  ],
  ['third-axis', 'far with', { furthestM: metre(60), kit: kitOf(sight()) }, 'fits', ''],
  [
    'third-axis',
    'no distance named',
    { furthestM: null, kit: kitOf(sight()) },
    'cannotTell',
    'how far',
  ],
  ['third-axis', 'their own sight', { kit: ownKit('sight') }, 'cannotTell', 'axes'],
  [
    'sight-light',
    'daylight takes any pins',
    { kit: kitOf(sight({ pins: 7, pinMm: mm(0.25) })) },
    'fits',
    '',
  ],
  [
    'sight-light',
    'one large dot at dusk',
    { lowLight: true, kit: kitOf(sight({ pins: 1, pinMm: mm(0.74) })) },
    'fits',
    '',
  ],
  [
    'sight-light',
    'five fine pins at dusk',
    { lowLight: true, kit: kitOf(sight({ pins: 5, pinMm: mm(0.48) })) },
    'doesNotFit',
    '5 pins, dots of 0.48 mm',
  ],
  [
    'sight-light',
    'their own sight at dusk',
    { lowLight: true, kit: ownKit('sight') },
    'cannotTell',
    'pins',
  ],
  [
    'release-type',
    'nothing asked',
    { kit: kitOf(aPart(anItem('release'), 'release')) },
    'fits',
    '',
  ],
  [
    'release-type',
    'the kind they shoot',
    { release: 'thumb', kit: kitOf(aPart(anItem('release'), 'release')) },
    'fits',
    '',
  ],
  [
    'release-type',
    'another kind',
    { release: 'backTension', kit: kitOf(aPart(anItem('release'), 'release')) },
    'doesNotFit',
    'a thumb release; the archer wants a back-tension release',
  ],
  [
    'release-type',
    'their own',
    { release: 'index', kit: ownKit('release') },
    'cannotTell',
    'kind of the archer’s own',
  ],
  ['electronics', 'nothing forbidden', { kit: kitOf(sight({ electronics: true })) }, 'fits', ''],
  [
    'electronics',
    'a light where it is forbidden',
    { electronicsForbidden: true, kit: kitOf(sight({ electronics: true })) },
    'doesNotFit',
    'rules forbid it',
  ],
  [
    'electronics',
    'no light where it is forbidden',
    { electronicsForbidden: true, kit: kitOf(sight()) },
    'fits',
    '',
  ],
  [
    'electronics',
    'their own sight',
    { electronicsForbidden: true, kit: ownKit('sight') },
    'cannotTell',
    'light',
  ],
];

describe('compatibility', () => {
  test.each(CASES)('%s: %s', (id, _, changes, verdict, reason) => {
    const answer = rule(id).check(aKitContext(changes));
    expect(answer.verdict).toBe(verdict);
    expect(answer.reason).toContain(reason);
    if (verdict === 'fits') expect(answer.reason).toBe('');
  });

  test('each of them speaks all three ways here', () => {
    for (const id of new Set(CASES.map(([rule]) => rule))) {
      const verdicts = CASES.filter(([other]) => other === id).map(([, , , verdict]) => verdict);
      expect([id, new Set(verdicts).size]).toEqual([id, 3]);
    }
  });
});

describe('a kit', () => {
  test('rules whose slots are empty are silent', () => {
    expect(checkKit(aKitContext())).toEqual([]);
    const ids = checkKit(aKitContext({ kit: kitOf(rest()) })).map((finding) => finding.rule.id);
    expect(ids).toEqual(['rest-mount', 'rest-spacer', 'hand', 'rest-draw-length', 'total-mass']);
  });

  test('objections name what stands against a part, hard ones first', () => {
    const context = aKitContext({ furthestM: metre(60) });
    const item = anItem('sight', { mount: 'frontRail', thirdAxis: false });
    const found = objections(item, context);
    expect(found.map((finding) => [finding.rule.id, finding.rule.hard])).toEqual([
      ['sight-mount', true],
      ['third-axis', false],
    ]);
  });

  test('a quarrel between two other parts is not the new part’s fault', () => {
    const kit = kitOf(rest({ mount: 'dovetail' }));
    expect(objections(anItem('sight'), aKitContext({ kit }))).toEqual([]);
  });

  test('a part is judged in place of the one it replaces', () => {
    const kit = kitOf(sight({ mount: 'frontRail' }));
    expect(objections(anItem('sight'), aKitContext({ kit }))).toEqual([]);
  });

  test('parts brought along cost nothing; the rest is added up', () => {
    const own = aPart(anItem('sight', {}, { priceCents: 28900 }), 'sight', { owned: true });
    expect(kitPriceCents(kitOf(rest({}, { priceCents: 12900 }), own))).toBe(12900);
    expect(kitPriceCents({})).toBe(0);
  });

  test('missing slots are the required ones, in order', () => {
    expect(missingSlots({})).toEqual(['rest', 'sight', 'peep', 'loop', 'arrows', 'release']);
    const full: Slot[] = SLOTS.map(({ id }) => id);
    expect(missingSlots(ownKit(...full))).toEqual([]);
  });

  test('an own part the catalogue does not know has no item', () => {
    expect(itemOf(ownKit('rest'), 'rest')).toBeNull();
    expect(itemOf({}, 'rest')).toBeNull();
    expect(itemOf(kitOf(arrows({}, { massG: gram(30) })), 'arrows')?.massG).toBe(30);
  });
});
