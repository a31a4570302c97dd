import { METRIC_UNITS, TRADE_UNITS } from '../../units';
import {
  ARROW_PARTS,
  exampleAttrs,
  isPartKind,
  isSlot,
  kindOf,
  onTheBow,
  PART_KINDS,
  partFacts,
  placeOf,
  slotName,
  SLOTS,
  type PartKind,
} from '.';

const facts = (slot: PartKind, massG: number, attrs: object = {}, shop = TRADE_UNITS) =>
  partFacts({ slot, massG, attrs: { ...exampleAttrs(slot), ...attrs } }, shop).replaceAll(
    '\u00a0',
    ' ',
  );

describe('kinds of part', () => {
  test('places and what arrows are built from, each once', () => {
    expect(SLOTS).toHaveLength(19);
    expect(ARROW_PARTS.map(({ id }) => id)).toEqual(['shaft', 'nock', 'vane', 'insert', 'point']);
    expect(new Set(PART_KINDS.map(({ name }) => name)).size).toBe(24);
  });

  test('without rest, sight, peep, loop, arrows or release no bow is shot', () =>
    expect(SLOTS.filter(({ required }) => required).map(({ id }) => id)).toEqual([
      'rest',
      'sight',
      'peep',
      'loop',
      'arrows',
      'release',
    ]));

  test('looked for in every package', () =>
    expect(SLOTS.filter(({ usual, required }) => usual && !required).map(({ id }) => id)).toEqual([
      'quiver',
      'stabiliser',
    ]));

  test('what is not on the bow while it is held weighs nothing on it', () =>
    expect(SLOTS.filter(({ id }) => !onTheBow(id)).map(({ id }) => id)).toEqual([
      'arrows',
      'release',
      'case',
      'armGuard',
      'consumables',
    ]));

  test('another rest or other arrows are another bow to the paper, a sight is not', () =>
    expect(SLOTS.filter(({ id }) => placeOf(id).startsPapers).map(({ id }) => id)).toEqual([
      'rest',
      'arrows',
    ]));

  test('an arrow and what it is built from say their mass at a glance', () =>
    expect(PART_KINDS.filter(({ id }) => kindOf(id).saysMass).map(({ id }) => id)).toEqual([
      'arrows',
      'shaft',
      'nock',
      'vane',
      'insert',
      'point',
    ]));

  test.each([
    ['constructor', false],
    ['', false],
    ['Rest', false],
    ['rest', true],
    ['shaft', false],
  ])('“%s” is a place: %s', (text, is) => expect(isSlot(text)).toBe(is));
  test('a shaft is a kind of part and no place', () => {
    expect([isPartKind('shaft'), isPartKind('toString'), isPartKind(null)]).toEqual([
      true,
      false,
      false,
    ]);
    expect(slotName('armGuard')).toBe('Arm guard');
  });

  test.each<[PartKind, number, object, string]>([
    [
      'rest',
      98,
      { spacer: true },
      'cable-driven · plunger-hole bolt · spacer block with it · 98 g',
    ],
    ['rest', 60, { drive: 'containment', mount: 'dovetail' }, 'containment · dovetail · 60 g'],
    [
      'sight',
      220,
      { pins: 1, slides: true, electronics: true },
      '1 pin, slides · three axes · side plate · electronics · 220 g',
    ],
    [
      'sight',
      220,
      { pins: 5, thirdAxis: false, mount: 'frontRail' },
      '5 pins, fixed · two axes · front rail · 220 g',
    ],
    ['loop', 0.4, { lengthMm: 12.7 }, '1/2 in · cord · 0 g'],
    ['point', 6.48, { head: 'fixedBlade' }, '100 gr · fixed blades'],
    ['nock', 0.65, {}, '10 gr · into 5.2 mm'],
    ['stabiliser', 180, { lengthMm: 254 }, '10 in · weights 1/4-20 · 180 g'],
    ['case', 2900, { hard: false, insideMm: 1016 }, '40 in inside · soft · 2900 g'],
  ])('%s at a glance', (slot, massG, attrs, text) => expect(facts(slot, massG, attrs)).toBe(text));

  test('in a metric shop', () =>
    expect(facts('stabiliser', 180, { lengthMm: 254 }, METRIC_UNITS)).toBe(
      '254 mm · weights 1/4-20 · 180 g',
    ));

  test.each<[PartKind, object, string[]]>([
    ['rest', { minDrawMm: 700, maxDrawMm: 600 }, ['minDrawMm']],
    ['rest', { minDrawMm: 600, maxDrawMm: 600 }, []],
    ['quiver', { minShaftMm: 9, maxShaftMm: 8 }, ['minShaftMm']],
    ['shaft', { innerMm: 6, outerMm: 6 }, ['innerMm']],
    ['point', { head: 'fixedBlade', bladeMm: null }, ['bladeMm']],
    ['point', { head: 'mechanical', bladeMm: null }, []],
  ])('%s: what single figures cannot tell', (kind, attrs, wrong) => {
    const faults = kindOf(kind).faults!({ ...exampleAttrs(kind), ...attrs } as never);
    expect(faults.flatMap((fault) => (fault ? [fault[0]] : []))).toEqual(wrong);
  });

  test('a heavy bar is worth less to a learner alone', () => {
    const archer = { furthestM: null, lowLight: false, release: 'unknown', eyesight: '' } as const;
    const bar = { attrs: exampleAttrs('stabiliser') as never, massG: 400 as never };
    const of = (learner: boolean) =>
      placeOf('stabiliser').does!(bar, { ...archer, learner }).factor;
    expect([of(true), of(false)]).toEqual([0.5, 1]);
  });
});
