import { aBow, aFinishedJob, anItem, aPart, FULL_KIT } from '../testing/fixtures';
import { derive } from '../job';
import type { AttrsOf } from '../kit';
import type { JobStep } from '../route';

/** The work a rest brings along, with everything else as in a finished kit. */
function stepsWith(
  attrs: Partial<AttrsOf['rest']>,
  changes: Parameters<typeof aFinishedJob>[0] = {},
) {
  const rest = {
    ...aPart(anItem('rest', attrs), 'rest'),
    arrivesDay: null,
    orderedAt: null,
    arrivedAt: null,
    handedOver: false,
    short: [],
    build: null,
  };
  const parts = [rest, ...FULL_KIT.filter(({ slot }) => slot !== 'rest')];
  const derived = derive(aFinishedJob({ rest: { parts, readings: [] }, ...changes }));
  return { derived, steps: derived.plan.steps, ids: derived.plan.steps.map(({ id }) => id) };
}
const at = (steps: readonly JobStep[], id: string) => steps.findIndex((step) => step.id === id);

describe('each kind of rest brings its own work', () => {
  const OWN = ['launcher', 'downCable', 'cockVane', 'cordAgain', 'cordTie', 'cord'];
  test.each([
    ['limbDriven', ['cordAgain', 'cord']],
    ['cableDriven', ['downCable', 'cordTie', 'cord']],
    ['containment', ['cockVane']],
  ] as const)('%s: %j', (drive, wanted) => {
    const { ids } = stepsWith({ drive });
    expect(ids.filter((id) => OWN.includes(id)).sort()).toEqual([...wanted].sort());
  });

  test('a launcher to choose is a step, said by the arrow’s mass', () => {
    const { steps, derived } = stepsWith({ tensions: ['light', 'medium'] });
    const launcher = steps.find(({ id }) => id === 'launcher')!;
    expect(launcher.template.say(derived.context)).toContain('24.6 g wants the medium launcher');
  });

  test.each([
    ['single', 'buss cable'],
    ['hybrid', 'buss cable'],
    ['camAndAHalf', 'buss cable'],
    ['twoCam', 'bottom cam takes up'],
  ] as const)('the down cable on a %s bow', (camSystem, words) => {
    const { steps, derived } = stepsWith({ drive: 'cableDriven' });
    const step = steps.find(({ id }) => id === 'downCable')!;
    const bow = aBow({ camSystem });
    const said = step.template.say({ ...derived.context, bow });
    expect(said).toContain(words);
    expect(said).toContain('Bows differ');
  });

  test.each(['limbDriven', 'cableDriven', 'containment'] as const)(
    '%s: the press is visited once, and nothing is cut or tied before paper',
    (drive) => {
      const { derived, steps } = stepsWith({ drive, tensions: ['medium'] });
      expect(derived.plan.visits.filter(({ station }) => station === 'press')).toHaveLength(1);
      const order = derived.plan.visits.flatMap((visit) => visit.steps);
      expect([...order].sort()).toEqual(steps.map(({ id }) => id).sort());
      const place = (id: string) => order.indexOf(id);
      for (const late of ['cordTie', 'cordAgain'])
        if (place(late) >= 0) expect(place(late)).toBeGreaterThan(place('paper'));
      if (place('cord') >= 0) {
        expect(place('cord')).toBeGreaterThan(place('launcher'));
        if (drive === 'cableDriven') expect(place('cord')).toBeGreaterThan(place('downCable'));
      }
      expect(at(steps, 'fasteners')).toBeGreaterThan(-1);
    },
  );
});
