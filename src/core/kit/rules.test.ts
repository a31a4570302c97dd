import { aBow, aKitContext, anItem, aPart, kitOf, ownKit } from '../testing/fixtures';
import { gram, metre, mm, newton } from '../units';
import { tensionFor } from './rules/launcher-tension';
import { KIT_RULES } from './rules';
import { KIT_LINES } from './types';
import type { AttrsOf, ChosenPart, KitContext, PartOf, Slot, Verdict } from './types';

const part = <S extends Slot>(
  slot: S,
  attrs: Partial<AttrsOf[S]> = {},
  changes: Partial<PartOf<S>> = {},
): ChosenPart => aPart(anItem(slot, attrs, changes) as PartOf<Slot>, slot);
const kit = (...parts: ChosenPart[]): Partial<KitContext> => ({ kit: kitOf(...parts) });
const own = (...slots: Slot[]): Partial<KitContext> => ({ kit: ownKit(...slots) });

/** Rule, the case in words, what differs from a plain job, what it says, and a piece of its reason. */
const CASES: readonly (readonly [string, string, Partial<KitContext>, Verdict, string])[] = [
  ['rest-spacer', 'a riser it reaches over', kit(part('rest')), 'fits', ''],
  [
    'rest-spacer',
    'a spacer in the box',
    kit(part('rest', { riserWidthMm: mm(20), spacer: true })),
    'fits',
    '',
  ],
  [
    'rest-spacer',
    'a wide riser',
    kit(part('rest', { riserWidthMm: mm(25) })),
    'doesNotFit',
    'order a spacer block',
  ],
  [
    'rest-spacer',
    'a riser nobody measured',
    { bow: aBow({ riserWidthMm: null }), ...kit(part('rest')) },
    'cannotTell',
    'the width of this riser',
  ],
  [
    'launcher-tension',
    'the medium one for 24.6 g',
    kit(part('rest', { tensions: ['light', 'medium'] }), part('arrows')),
    'fits',
    '',
  ],
  [
    'launcher-tension',
    'only a light one',
    kit(part('rest', { tensions: ['light'] }), part('arrows')),
    'doesNotFit',
    'wants the medium launcher',
  ],
  ['launcher-tension', 'their own rest', own('rest', 'arrows'), 'cannotTell', 'own part'],
  [
    'vane-room',
    'a fall-away is out of the way',
    kit(part('rest'), part('arrows', { vaneHeightMm: mm(25) })),
    'fits',
    '',
  ],
  [
    'vane-room',
    'vanes taller than the ring',
    kit(part('rest', { drive: 'containment', vaneRoomMm: mm(10) }), part('arrows')),
    'doesNotFit',
    'lets 10 mm pass',
  ],
  [
    'vane-room',
    'room not known',
    kit(part('rest', { drive: 'containment' }), part('arrows')),
    'cannotTell',
    'how tall a vane',
  ],
  ['cable-vane', 'cables well aside', kit(part('arrows')), 'fits', ''],
  [
    'cable-vane',
    'cables close by',
    { bow: aBow({ cableGapMm: mm(16) }), ...kit(part('arrows')) },
    'doesNotFit',
    'turn the nock',
  ],
  [
    'cable-vane',
    'cables nobody measured',
    { bow: aBow({ cableGapMm: null }), ...kit(part('arrows')) },
    'cannotTell',
    'how far the cables',
  ],
  ['fixed-blade', 'a point without blades', kit(part('arrows')), 'fits', ''],
  ['fixed-blade', 'blades with air', kit(part('arrows', { bladeMm: mm(19) })), 'fits', ''],
  [
    'fixed-blade',
    'blades onto the shelf',
    kit(part('arrows', { bladeMm: mm(20) })),
    'doesNotFit',
    'the shelf lies 22 mm under it',
  ],
  [
    'fixed-blade',
    'a shelf nobody measured',
    { bow: aBow({ shelfMm: null }), ...kit(part('arrows', { bladeMm: mm(12) })) },
    'cannotTell',
    'how deep the shelf',
  ],
  ['sight-reach', 'a slide out to 40 m', kit(part('sight'), part('arrows')), 'fits', ''],
  [
    'sight-reach',
    'near the first pin nothing has to travel',
    { furthestM: metre(18), ...kit(part('sight', { travelMm: mm(0) }), part('arrows')) },
    'fits',
    '',
  ],
  [
    'sight-reach',
    'too little travel',
    {
      furthestM: metre(60),
      ...kit(part('sight', { travelMm: mm(12), slides: false, pins: 3 }), part('arrows')),
    },
    'doesNotFit',
    'mm of travel from 18 m, it has 12 mm: to about',
  ],
  [
    'sight-reach',
    'a housing in the arrow’s way',
    {
      furthestM: metre(90),
      peakN: newton(180),
      ...kit(
        part('sight', { travelMm: mm(150), housingRadiusMm: mm(40) }),
        part('arrows', {}, { massG: gram(30) }),
      ),
    },
    'doesNotFit',
    'comes into the arrow’s way',
  ],
  [
    'sight-reach',
    'no weight yet',
    { peakN: null, ...kit(part('sight'), part('arrows')) },
    'cannotTell',
    'draw length or weight',
  ],
  [
    'sight-reach',
    'no speed for arrows too light',
    { peakN: newton(300), ...kit(part('sight'), part('arrows', {}, { massG: gram(15) })) },
    'cannotTell',
    'the speed',
  ],
  ['peep-light', 'daylight', kit(part('peep', { apertureMm: mm(3) })), 'fits', ''],
  [
    'peep-light',
    'a small hole at dusk',
    { lowLight: true, ...kit(part('peep', { apertureMm: mm(3.2) })) },
    'doesNotFit',
    'goes dark early',
  ],
  ['peep-light', 'their own at dusk', { lowLight: true, ...own('peep') }, 'cannotTell', 'own peep'],
  ['peep-pins', 'one pin is centred itself', kit(part('peep'), part('sight')), 'fits', ''],
  [
    'peep-pins',
    'five pins through a small hole',
    kit(part('peep', { apertureMm: mm(3.2) }), part('sight', { pins: 5 })),
    'doesNotFit',
    'housing with its 5 pins',
  ],
  [
    'peep-pins',
    'five pins through a wide hole',
    kit(part('peep'), part('sight', { pins: 5 })),
    'fits',
    '',
  ],
  ['peep-pins', 'their own', own('peep', 'sight'), 'cannotTell', 'look through'],
  ['release-loop', 'a loop long enough', kit(part('release'), part('loop')), 'fits', ''],
  [
    'release-loop',
    'a loop too short',
    kit(part('release', { minLoopMm: mm(15) }), part('loop')),
    'doesNotFit',
    'want a loop of 15 mm',
  ],
  [
    'release-loop',
    'a metal loop',
    kit(part('release'), part('loop', { material: 'metal' })),
    'doesNotFit',
    'a metal loop wears it',
  ],
  ['release-loop', 'their own', own('release', 'loop'), 'cannotTell', 'hook it in'],
  ['quiver-sight', 'holes of its own', kit(part('quiver'), part('sight')), 'fits', ''],
  [
    'quiver-sight',
    'both in the side plate',
    kit(part('quiver', { usesSightHoles: true }), part('sight', { carriesQuiver: false })),
    'doesNotFit',
    'two holes of the side plate',
  ],
  [
    'quiver-sight',
    'a sight on a rail leaves the holes free',
    kit(
      part('quiver', { usesSightHoles: true }),
      part('sight', { mount: 'frontRail', carriesQuiver: false }),
    ),
    'fits',
    '',
  ],
  ['quiver-sight', 'their own', own('quiver', 'sight'), 'cannotTell', 'hold both'],
  ['total-mass', 'no limit named', kit(part('stabiliser')), 'fits', ''],
  [
    'total-mass',
    'under the limit',
    { massLimitG: gram(2000), ...kit(part('stabiliser')) },
    'fits',
    '',
  ],
  [
    'total-mass',
    'over the limit',
    { massLimitG: gram(1850), ...kit(part('stabiliser')) },
    'doesNotFit',
    '1.88 kg with the bow',
  ],
  [
    'total-mass',
    'a part of unknown mass',
    { massLimitG: gram(2500), ...own('quiver') },
    'cannotTell',
    'weigh it',
  ],
  ['light-thread', 'a thread in the housing', kit(part('light'), part('sight')), 'fits', ''],
  [
    'light-thread',
    'no thread',
    kit(part('light'), part('sight', { lightThread: false })),
    'doesNotFit',
    'no thread for it',
  ],
  [
    'light-thread',
    'clipped on',
    kit(part('light', { mount: 'clip' }), part('sight', { lightThread: false })),
    'fits',
    '',
  ],
  ['light-thread', 'their own', own('light', 'sight'), 'cannotTell', 'screw it in'],
  ['light-forbidden', 'allowed', kit(part('light')), 'fits', ''],
  [
    'light-forbidden',
    'forbidden',
    { electronicsForbidden: true, ...kit(part('light')) },
    'doesNotFit',
    'their rules forbid it',
  ],
  [
    'light-forbidden',
    'their own, forbidden',
    { electronicsForbidden: true, ...own('light') },
    'cannotTell',
    'left off',
  ],
  ['bar-weights', 'the same thread', kit(part('weights'), part('stabiliser')), 'fits', ''],
  [
    'bar-weights',
    'the rear bar takes them',
    kit(part('weights'), part('stabiliser', { weightThread: '5/16-24' }), part('rearBar')),
    'fits',
    '',
  ],
  [
    'bar-weights',
    'another thread',
    kit(part('weights', { thread: '5/16-24' }), part('stabiliser')),
    'doesNotFit',
    'the bar has 1/4-20',
  ],
  ['bar-weights', 'no bar yet', kit(part('weights')), 'cannotTell', 'no bar chosen'],
  ['rear-bar-mount', 'a mount beside it', kit(part('rearBar'), part('barMount')), 'fits', ''],
  [
    'rear-bar-mount',
    'a bushing at the back',
    { bow: aBow({ rearBushing: true }), ...kit(part('rearBar')) },
    'fits',
    '',
  ],
  ['rear-bar-mount', 'neither', kit(part('rearBar')), 'doesNotFit', 'take a bar mount with it'],
  [
    'rear-bar-mount',
    'another thread',
    kit(part('rearBar'), part('barMount', { thread: '1/4-20' })),
    'doesNotFit',
    'the mount has 1/4-20',
  ],
  [
    'rear-bar-mount',
    'a riser not known',
    { bow: aBow({ rearBushing: null }), ...kit(part('rearBar')) },
    'cannotTell',
    'a bushing at the back',
  ],
  ['string-stop', 'a hole for it', kit(part('stringStop')), 'fits', ''],
  [
    'string-stop',
    'the bow has one',
    { bow: aBow({ stringStop: 'fitted' }), ...kit(part('stringStop')) },
    'doesNotFit',
    'comes with one',
  ],
  [
    'string-stop',
    'no hole',
    { bow: aBow({ stringStop: 'none' }), ...kit(part('stringStop')) },
    'doesNotFit',
    'no hole for one',
  ],
  [
    'string-stop',
    'not known',
    { bow: aBow({ stringStop: null }), ...kit(part('stringStop')) },
    'cannotTell',
    'takes a string stop',
  ],
  ['case-length', 'long enough', kit(part('case')), 'fits', ''],
  [
    'case-length',
    'too short',
    kit(part('case', { insideMm: mm(800) })),
    'doesNotFit',
    'with its cams',
  ],
  ['case-length', 'their own', own('case'), 'cannotTell', 'own case'],
];

describe('what each rule says', () => {
  test.each(CASES)('%s: %s', (id, _, changes, verdict, reason) => {
    const found = KIT_RULES.find((entry) => entry.id === id);
    const answer = found!.check(aKitContext(changes));
    expect([answer.verdict, answer.reason]).toEqual([verdict, expect.stringContaining(reason)]);
    if (verdict === 'fits') expect(answer.reason).toBe('');
  });

  test('each of them speaks all three ways here', () => {
    for (const id of new Set(CASES.map(([rule]) => rule))) {
      const verdicts = CASES.filter(([other]) => other === id).map(([, , , verdict]) => verdict);
      expect([id, new Set(verdicts).size]).toEqual([id, 3]);
    }
  });

  // One of a pair may be from the shop, the other their own or not chosen yet.
  test.each(KIT_RULES.map((rule) => [rule.id, rule] as const))(
    '%s says something whatever of its places is theirs or empty',
    (_, rule) => {
      const choices = (slot: Slot): (ChosenPart | null)[] => [
        part(slot),
        aPart(null, slot, { owned: true }),
        null,
      ];
      const kits = rule.slots.reduce<(ChosenPart | null)[][]>(
        (all, slot) => all.flatMap((chosen) => choices(slot).map((one) => [...chosen, one])),
        [[]],
      );
      for (const chosen of kits) {
        const parts = chosen.filter((one) => one !== null);
        const { verdict } = rule.check(aKitContext({ kit: kitOf(...parts) }));
        expect(['fits', 'doesNotFit', 'cannotTell']).toContain(verdict);
      }
    },
  );

  test('there are well over twenty, each with its own id and name', () => {
    expect(KIT_RULES.length).toBeGreaterThanOrEqual(20);
    expect(new Set(KIT_RULES.map(({ id }) => id)).size).toBe(KIT_RULES.length);
    expect(new Set(KIT_RULES.map(({ name }) => name)).size).toBe(KIT_RULES.length);
  });

  test('the launcher by mass changes where the shop’s rule says', () => {
    expect([19.9, 20, 27.9, 28].map(tensionFor)).toEqual(['light', 'medium', 'medium', 'heavy']);
  });

  test('the shop’s lines move what the rules say', () => {
    const far = { furthestM: metre(50), ...kit(part('sight', { thirdAxis: false })) };
    const third = KIT_RULES.find(({ id }) => id === 'third-axis')!;
    expect(third.check(aKitContext(far)).verdict).toBe('doesNotFit');
    const lines = { ...KIT_LINES, thirdAxisPastM: metre(60), overhangMm: mm(10) };
    expect(third.check(aKitContext({ ...far, lines })).verdict).toBe('fits');
    const short = kit(part('arrows', { shaftLengthMm: mm(670) }));
    // 715 of draw less 44.45 is 670.55 to the hole, 30 ahead to the rest, 25 past it.
    const ahead = { ...kit(part('arrows', { shaftLengthMm: mm(700) })), drawLengthMm: mm(715) };
    expect(
      KIT_RULES.find(({ id }) => id === 'arrow-length')!.check(
        aKitContext({ ...ahead, restAheadMm: mm(30) }),
      ),
    ).toMatchObject({ verdict: 'doesNotFit' });
    expect(
      KIT_RULES.find(({ id }) => id === 'arrow-length')!.check(aKitContext(ahead)).verdict,
    ).toBe('fits');
    const length = KIT_RULES.find(({ id }) => id === 'arrow-length')!;
    expect(length.check(aKitContext(short)).verdict).toBe('doesNotFit');
    expect(length.check(aKitContext({ ...short, lines })).verdict).toBe('fits');
  });
});
