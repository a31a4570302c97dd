import { aFinishedJob, aReading, aShop, FINISHED } from '../testing/fixtures';
import { derive } from '../job';
import { aSheet } from '../testing/a-sheet';
import { NO_SHOP_STEPS, type OwnStep } from './own-steps';
import { circleIn, stepFaults, templatesOf } from './shop-steps';
import { countsAsWork, expectedMinutes } from './step-times';
import { STEP_TEMPLATES } from './steps';
import { fastenText, FASTEN } from './steps/fasten';

const wax: OwnStep = {
  id: 'wax-the-string',
  title: 'Wax the string',
  say: 'Thinly.',
  station: 'vice',
  archer: false,
  tool: 'wax',
  minutes: 3,
  needs: ['loop'],
  before: ['paper'],
  slot: null,
  dependsOn: ['stringTwists'],
};
const jobWith = (own: OwnStep, ...more: ReturnType<typeof aReading>[]) =>
  derive(
    aFinishedJob({
      rest: {
        shop: aShop({ steps: { edits: [], own: [own] } }),
        readings: [...FINISHED, ...more],
      },
    }),
  ).plan;

describe('a shop’s own steps', () => {
  test('without any the steps are the shipped ones', () => {
    expect(templatesOf(NO_SHOP_STEPS)).toEqual(STEP_TEMPLATES);
    expect(stepFaults(NO_SHOP_STEPS)).toEqual([]);
  });

  test('one of its own stands in the route between what it needs and what waits for it', () => {
    const plan = jobWith(wax);
    const step = plan.steps.find(({ id }) => id === wax.id)!;
    expect(step).toMatchObject({ state: 'open', missing: [] });
    expect(plan.steps.find(({ id }) => id === 'paper')!.missing).toEqual([wax.id]);
    expect(plan.visits.flatMap(({ steps }) => steps)).toContain(wax.id);
  });

  test('ticked it is done, and asked for again when what it rests on changes', () => {
    const done = aReading(900, 'own:wax-the-string', 1);
    const stateOf = (plan: ReturnType<typeof jobWith>) =>
      plan.steps.find(({ id }) => id === wax.id)!.state;
    expect(stateOf(jobWith(wax, done))).toBe('done');
    const later = jobWith(wax, done, aReading(901, 'stringTwists', 4));
    expect(stateOf(later)).toBe('again');
    expect(later.stale.find(({ key }) => key === 'own:wax-the-string')!.sentence).toBe(
      'the string was twisted after “wax the string” was taken',
    );
  });

  test('its tick stands on the sheet, after what every shop has', () => {
    const snapshot = aFinishedJob({
      rest: {
        shop: aShop({ steps: { edits: [], own: [wax] } }),
        readings: [...FINISHED, aReading(900, 'own:wax-the-string', 1)],
      },
    });
    const sheet = aSheet({}, snapshot);
    expect(sheet.settings.at(-1)).toMatchObject({ name: 'Wax the string', text: 'done' });
  });

  test('only with a part, where it says so', () => {
    const sling = { ...wax, slot: 'sling' as const };
    expect(jobWith(sling).steps.map(({ id }) => id)).not.toContain(wax.id);
  });

  test('a shipped step with the shop’s words, minutes and station', () => {
    const [edit] = templatesOf({
      own: [],
      edits: [
        {
          id: 'loop',
          title: 'Tie the D',
          say: 'Our way.',
          minutes: 9,
          station: 'counter',
          tool: 'x',
        },
      ],
    }).filter(({ id }) => id === 'loop');
    expect(edit).toMatchObject({ title: 'Tie the D', minutes: 9, station: 'counter', tool: 'x' });
    expect(edit!.say({} as never)).toBe('Our way.');
    expect(edit!.needs).toEqual(['nockHeight', 'nockPoint']);
  });

  test.each([
    [
      'a step needed that is none',
      { edits: [], own: [{ ...wax, needs: ['nonsense'] }] },
      '/own/0/needs/0',
      'no step “nonsense”',
    ],
    [
      'a value that is none',
      { edits: [], own: [{ ...wax, dependsOn: ['weather' as never] }] },
      '/own/0/dependsOn/0',
      'no value “weather”',
    ],
    ['no title', { edits: [], own: [{ ...wax, title: ' ' }] }, '/own/0/title', 'needs a title'],
    ['nothing to do', { edits: [], own: [{ ...wax, say: '' }] }, '/own/0/say', 'Say what'],
    ['a name taken', { edits: [], own: [{ ...wax, id: 'loop' }] }, '/own/0/id', 'already'],
    [
      'a name that is none',
      { edits: [], own: [{ ...wax, id: 'Wax It!' }] },
      '/own/0/id',
      'small letters',
    ],
    ['the same twice', { edits: [], own: [wax, wax] }, '/own/1/id', 'already'],
    [
      'no minutes',
      { edits: [{ id: 'loop', minutes: Number.NaN }], own: [] },
      '/edits/0/minutes',
      'Between 1 and 240',
    ],
    [
      'hours without end',
      { edits: [], own: [{ ...wax, minutes: 9999 }] },
      '/own/0/minutes',
      'Between 1 and 240',
    ],
    [
      'a station that is none',
      { edits: [{ id: 'loop', station: 'roof' as never }], own: [] },
      '/edits/0/station',
      'one of counter',
    ],
    [
      'an edit of nothing',
      { edits: [{ id: 'nonsense', minutes: 4 }], own: [] },
      '/edits/0/id',
      'no shipped step',
    ],
    [
      'changed twice',
      {
        edits: [
          { id: 'loop', minutes: 4 },
          { id: 'loop', minutes: 5 },
        ],
        own: [],
      },
      '/edits/1/id',
      'changed twice',
    ],
    [
      'left out and needed',
      { edits: [{ id: 'nockHeight', off: true }], own: [] },
      '/edits/0/off',
      '“Tie the loop”',
    ],
    [
      'left out, its value missed',
      { edits: [{ id: 'arrowMass', off: true }], own: [] },
      '/edits/0/off',
      'others rest on it',
    ],
    [
      'left out, needed by an own one',
      { edits: [{ id: 'light', off: true }], own: [{ ...wax, needs: ['light'] }] },
      '/own/0/needs/0',
      'left out and cannot be needed',
    ],
    [
      'needs itself',
      { edits: [{ id: 'loop', needs: ['loop'] }], own: [] },
      '/own',
      'in a circle: Tie the loop → Tie the loop',
    ],
  ] as const)('%s is refused with its place', (_, steps, pointer, words) => {
    const faults = stepFaults(steps);
    expect(faults).toEqual(
      expect.arrayContaining([{ pointer, message: expect.stringContaining(words) }]),
    );
  });

  test('a long circle is named from step to step', () => {
    expect(
      circleIn([
        { id: 'a', needs: [] },
        { id: 'b', needs: ['a', 'd'] },
        { id: 'c', needs: ['b'] },
        { id: 'd', needs: ['c'] },
      ]),
    ).toEqual(['b', 'd', 'c', 'b']);
    expect(circleIn(STEP_TEMPLATES)).toBeNull();
  });
});

describe('how long a step takes here', () => {
  test('as shipped until it was clocked; then towards what the clock saw', () => {
    expect(expectedMinutes(6, undefined)).toBe(6);
    expect(expectedMinutes(6, { count: 0, sumLogMin: 0 })).toBe(6);
    const seen = (minutes: number, count: number) => ({
      count,
      sumLogMin: count * Math.log(minutes),
    });
    expect(expectedMinutes(6, seen(12, 1))).toBe(7);
    expect(expectedMinutes(6, seen(12, 30))).toBe(11);
    expect(expectedMinutes(2, seen(0.1, 50))).toBe(1);
  });
  test('one telephone call does not spoil it; a slip and a bow left lying are not counted', () => {
    const usual = { count: 9, sumLogMin: 9 * Math.log(4) };
    const withCall = { count: 10, sumLogMin: usual.sumLogMin + Math.log(60) };
    expect(expectedMinutes(4, usual)).toBe(4);
    expect(expectedMinutes(4, withCall)).toBe(5);
    expect([2, 30, 3600, 9000].map(countsAsWork)).toEqual([false, true, true, false]);
  });
  test('a job’s steps carry the learned minutes', () => {
    const { plan } = derive(
      aFinishedJob({
        rest: { stepTimes: { loop: { count: 50, sumLogMin: 50 * Math.log(15) } } },
      }),
    );
    expect(plan.steps.find(({ id }) => id === 'loop')!.template.minutes).toBe(14);
  });
});

test('screws in words: key, how tight, locker, plastic', () => {
  expect(fastenText(FASTEN.rest)).toBe('5/32 in hex key · tight · no thread locker');
  expect(fastenText(FASTEN.module)).toBe(
    '3/32 in hex key · snug · thread locker that comes off again',
  );
  expect(fastenText(FASTEN.pin)).toContain('plastic: gently');
  expect(fastenText(FASTEN.bar)).toBe('by hand · no thread locker');
});
