import { LOOKS, lookState, notDrawn, type Elsewhere, type LookId, type Seen } from '.';

const seen = (how: Seen, words = '') => ({
  seen: how,
  words,
  who: 'T.',
  at: '2026-11-24T09:00:00Z',
});
const bow = (look: Elsewhere['look']) => ({
  elsewhere: { came: 'box' as const, look, leftOut: [] },
});
const allSound = Object.fromEntries(LOOKS.map(({ id }) => [id, seen('sound')]));

describe('a bow that nobody here knows', () => {
  test('is looked at in twelve places, each with what is sound, what is not and what is done', () => {
    expect(LOOKS).toHaveLength(12);
    for (const { how, sound, unsound, mend } of LOOKS)
      for (const text of [how, sound, unsound, mend]) expect(text.length).toBeGreaterThan(12);
    expect(LOOKS.filter(({ stops }) => !stops).map(({ id }) => id)).toEqual([
      'servings',
      'guard',
      'missing',
    ]);
  });
  test('is not drawn before every place was looked at', () => {
    expect(notDrawn(bow({}))).toMatchObject({
      reason: 'not-looked-over',
      message: 'Nobody draws it yet: 12 places are still to be looked at, next limbs.',
    });
    const { missing: _missing, ...most } = allSound;
    expect(notDrawn(bow(most))!.message).toContain('one place is still');
    expect(notDrawn(bow(allSound))).toBeNull();
  });
  test.each<[LookId, Seen, boolean]>([
    ['limbs', 'unsound', true],
    ['limbs', 'unseen', true],
    ['pockets', 'unsound', true],
    ['clips', 'unsound', true],
    ['dryFire', 'unsound', true],
    ['servings', 'unsound', false],
    ['missing', 'unsound', false],
    ['guard', 'unseen', false],
  ])('%s %s stops it: %s', (id, how, stops) => {
    const job = bow({ ...allSound, [id]: seen(how, 'as found') });
    expect(notDrawn(job)?.reason ?? null).toBe(stops ? 'stopped-by-look' : null);
    const state = lookState(job)!;
    expect((stops ? state.stops : state.cares).map((place) => place.id)).toEqual([id]);
  });
  test('what stops is told before what is open, with what is done about it', () => {
    expect(notDrawn(bow({ limbs: seen('unsound', 'crack at the tip') }))!.message).toBe(
      'Nobody draws it: limbs not sound (crack at the tip). Both limbs are replaced, a matched pair of the maker’s; nothing is glued. Look at it again once that is done.',
    );
  });
  test('a bow of the shop was looked over when it came', () => {
    expect([lookState({ elsewhere: null }), notDrawn({ elsewhere: null })]).toEqual([null, null]);
  });
});
