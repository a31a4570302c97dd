import {
  aBow,
  aFinishedJob,
  anItem,
  aPart,
  aReading,
  FINISHED,
  FULL_KIT,
} from '../testing/fixtures';
import { derive } from '../job';
import { mm } from '../units';
import { SCHOOLS, schoolsOf, USUAL_SCHOOLS, type Schools } from './schools';
import { targetOf } from './targets';
import type { Reading, SetupKey } from './registry';

const jobWith = (schools: Partial<Schools>, more: Parameters<typeof aFinishedJob>[0] = {}) =>
  derive(aFinishedJob({ ...more, job: { schools, ...more.job } }));
const target = (key: SetupKey, schools: Partial<Schools>, bow = aBow()) =>
  targetOf(key, jobWith(schools, { rest: { bow } }).context)!;
const ids = (schools: Partial<Schools>, more: Parameters<typeof aFinishedJob>[0] = {}) =>
  jobWith(schools, more).plan.steps.map(({ id }) => id);
const withRest = (drive: 'containment' | 'limbDriven' | 'cableDriven') => ({
  rest: {
    parts: FULL_KIT.map((part) =>
      part.slot === 'rest' ? { ...part, ...aPart(anItem('rest', { drive }), 'rest') } : part,
    ),
  },
});

describe('schools', () => {
  test('a job’s own come before the shop’s; the others stay', () => {
    const shop = { ...USUAL_SCHOOLS, silencing: 'tube' as const };
    expect(schoolsOf(shop, { cage: 'trimmed' })).toEqual({ ...shop, cage: 'trimmed' });
    expect(schoolsOf(shop, {})).toEqual(shop);
  });
  test('every school has its choices, the usual one among them', () => {
    for (const { name, choices } of SCHOOLS)
      expect(choices.map(({ id }) => id)).toContain(USUAL_SCHOOLS[name]);
    expect(SCHOOLS.map(({ name }) => name).sort()).toEqual(Object.keys(USUAL_SCHOOLS).sort());
  });

  test('centre shot by the figure is held to it; found another way it is only a check', () => {
    const figure = target('centreShot', { centreShot: 'figure' });
    expect(figure.high - figure.low).toBeLessThan(2);
    expect(figure.reason).toContain('own figure');
    for (const centreShot of ['thread', 'secondArrow', 'eye'] as const) {
      const other = target('centreShot', { centreShot });
      expect(other.si).toBe(figure.si);
      expect(other.high - other.low).toBeGreaterThan(5);
      expect(other.reason).toContain('only shows whether it was read right');
    }
  });
  test('no figure for the bow: the usual one, and it says so', () => {
    const bow = aBow({ centreShotMm: null });
    expect(target('centreShot', {}, bow)).toMatchObject({ source: 'shop rule' });
    expect(target('centreShot', { centreShot: 'eye' }, bow).reason).toContain('the usual 13/16 in');
  });
  test('nock level or a touch high', () => {
    expect(target('nockHeight', { nockHeight: 'level' })).toMatchObject({ low: -1, high: 1 });
    expect(target('nockHeight', { nockHeight: 'high' })).toMatchObject({ low: 0, high: 3 });
  });
  test('silencing left out has no step', () => {
    expect(ids({ silencing: 'felt' })).toContain('silence');
    expect(ids({ silencing: 'none' })).not.toContain('silence');
  });
  test('only a ring has a cage, and only a school trims it', () => {
    expect(ids({ cage: 'trimmed' }, withRest('containment'))).toContain('cage');
    expect(ids({ cage: 'on' }, withRest('containment'))).not.toContain('cage');
    expect(ids({ cage: 'trimmed' }, withRest('limbDriven'))).not.toContain('cage');
  });
  test('the third axis is set on the bench or shot in, never both', () => {
    expect(ids({ thirdAxis: 'bench' })).toContain('thirdAxis');
    expect(ids({ thirdAxis: 'bench' })).not.toContain('thirdAxisShot');
    expect(ids({ thirdAxis: 'shotIn' })).toContain('thirdAxisShot');
    expect(ids({ thirdAxis: 'shotIn' })).not.toContain('thirdAxis');
  });
});

describe('lean: which shim or yoke leg, and what it did on this bow', () => {
  const look = (...more: Reading[]) => {
    const { context, plan } = derive(aFinishedJob({ rest: { readings: [...FINISHED, ...more] } }));
    return { fix: targetOf('leanFixUpper', context), plan };
  };
  test('straight cams have no step for it', () =>
    expect(look().plan.steps.map(({ id }) => id)).not.toContain('straightenCams'));
  test('a cam that leans brings the step, the remedy towards the arrow’s end', () => {
    const { fix, plan } = look(aReading(900, 'camLeanUpper', 9));
    expect(plan.steps.find(({ id }) => id === 'straightenCams')!.template.station).toBe('press');
    expect(fix).toMatchObject({ si: 2 });
    expect(fix!.reason).toContain('9 mm to the right: move the cam 2 shim steps to the right');
  });
  test('after the press it is looked at again before anything more is done', () => {
    const { fix, plan } = look(aReading(900, 'camLeanUpper', 9), aReading(901, 'leanFixUpper', 2));
    expect(fix).toMatchObject({
      si: 2,
      reason: expect.stringContaining('Look along the arrow') as string,
    });
    expect(plan.stale.map(({ key }) => key)).toEqual(
      expect.arrayContaining(['camLeanUpper', 'inTracks', 'paperTear']),
    );
    // A yoke leg pulls on the cam: timing and draw length are looked at again too.
    expect(plan.stale.map(({ key }) => key)).toEqual(
      expect.arrayContaining(['timing', 'drawLength']),
    );
  });
  test('what it did is learned: half as much moved, twice as much asked for', () => {
    const { fix } = look(
      aReading(900, 'camLeanUpper', 9),
      aReading(901, 'leanFixUpper', 2),
      aReading(902, 'camLeanUpper', 6),
    );
    expect(fix!.si).toBe(4);
    const gone = look(
      aReading(900, 'camLeanUpper', 9),
      aReading(901, 'leanFixUpper', 2),
      aReading(902, 'camLeanUpper', 1),
    );
    expect(gone.fix).toMatchObject({
      si: 2,
      reason: expect.stringContaining('stands straight') as string,
    });
  });
});

describe('steps parts bring along', () => {
  const stepsWith = (...parts: ReturnType<typeof aPart>[]) =>
    derive(
      aFinishedJob({
        rest: { parts: [...FULL_KIT, ...parts.map((part) => ({ ...FULL_KIT[0]!, ...part }))] },
      }),
    );
  const say = (id: string, ...parts: ReturnType<typeof aPart>[]) => {
    const { plan, context } = stepsWith(...parts);
    return plan.steps.find((step) => step.id === id)!.template.say(context);
  };
  test.each([
    ['sling', 'sling'],
    ['light', 'light'],
    ['quiver', 'quiver'],
    ['stabiliser', 'stabiliser'],
    ['rearBar', 'stabiliser'],
    ['stringStop', 'stringStop'],
  ] as const)('a %s brings “%s”', (slot, id) => {
    expect(stepsWith().plan.steps.map((step) => step.id)).not.toContain(id);
    expect(stepsWith(aPart(anItem(slot), slot)).plan.steps.map((step) => step.id)).toContain(id);
  });
  test('a quiver of two pieces is mounted otherwise than one of one', () => {
    expect(say('quiver', aPart(anItem('quiver', { pieces: 1 }), 'quiver'))).toContain(
      'comes off and on',
    );
    expect(say('quiver', aPart(anItem('quiver', { pieces: 2 }), 'quiver'))).toContain(
      'hood and gripper',
    );
  });
  test('the sling between riser and bar comes before the bar', () => {
    const { plan } = stepsWith(
      aPart(anItem('sling', { mount: 'bushing' }), 'sling'),
      aPart(anItem('stabiliser'), 'stabiliser'),
    );
    expect(plan.steps.find(({ id }) => id === 'stabiliser')!.missing).toEqual(['sling']);
  });
  test('dampeners of the string go in at the press, those of the limbs at the vice', () => {
    const at = (place: 'string' | 'limb' | 'cable') =>
      stepsWith(aPart(anItem('dampeners', { place }), 'dampeners')).plan.steps.find(
        ({ template }) => template.reads.includes('dampenersFitted'),
      )!.template.station;
    expect([at('string'), at('cable'), at('limb')]).toEqual(['press', 'press', 'vice']);
  });
  test('a kisser is set with the archer, a nocking point before the loop', () => {
    const kisser = stepsWith(
      aPart(anItem('nockingPoint', { kind: 'kisser' }), 'nockingPoint'),
    ).plan;
    expect(kisser.steps.find(({ id }) => id === 'kisser')!.template.archer).toBe(true);
    const tied = stepsWith(aPart(anItem('nockingPoint', { kind: 'tied' }), 'nockingPoint')).plan;
    expect(tied.steps.map(({ id }) => id)).not.toContain('kisser');
    expect(tied.steps.find(({ id }) => id === 'loop')!.missing).toContain('nockPoint');
  });
  test('limb stops are set like their module, cable stops need nothing', () => {
    const stops = (kind: 'limb' | 'cable' | 'both' | null) =>
      derive(aFinishedJob({ rest: { bow: aBow({ stops: kind }) } })).plan.steps.map(({ id }) => id);
    expect(stops('limb')).toContain('stops');
    expect(stops('both')).toContain('stops');
    expect(stops('cable')).not.toContain('stops');
    expect(stops(null)).not.toContain('stops');
  });
  test('the cord’s place on the limb follows the draw length, straight between its two ends', () => {
    const at = (drawMm: number) => {
      const job = aFinishedJob({
        ...withRest('limbDriven'),
      });
      const readings = [...FINISHED, aReading(900, 'drawLength', drawMm)];
      return targetOf('restCord', derive({ ...job, readings }).context)!.si;
    };
    expect(at(635)).toBeCloseTo(44, 6);
    expect(at(787)).toBeCloseTo(64, 6);
    expect(at(711)).toBeCloseTo(54, 6);
    expect(at(600)).toBeCloseTo(44, 6);
    expect(mm(at(820))).toBeCloseTo(64, 6);
  });
});
