import type { Db } from '@/data/db';
import { N_PER_POUND } from '@/core/units';
import { M, Scene, T, type At, type Day } from './scene';

export function minorInFit(
  db: Db,
  at: At,
  day: Day,
  instant: (days: number, time: string) => string,
): void {
  at(0, '09:05');
  new Scene(
    db,
    {
      archer: {
        name: 'Noor Abeling',
        phone: '0151 555 0119',
        minor: true,
        guardianName: 'Femke Abeling',
        guardianPhone: '0151 555 0120',
        hand: 'right',
        dominantEye: 'right',
        ageBand: '12to15',
        build: 'slight',
        experience: 'some',
      },
      job: {
        purpose: 'target',
        furthestM: 30,
        budgetCents: 80000,
        promisedDay: day(4),
        appointmentAt: instant(0, '15:30'),
      },
    },
    T,
  )
    .take('armSpan', '58 1/4')
    .take('wallToMouth', '25 1/2')
    .trial('18#', 'smooth', '12.4')
    .look('25', { bowArm: 'right', elbow: 'right', shoulders: 'right', lean: 'tooLong' })
    .leave('fit');
}

export function waiting(db: Db, at: At, day: Day): void {
  at(-3, '18:00');
  const scene = new Scene(
    db,
    {
      archer: {
        name: 'Bettina Olufsen',
        phone: '0151 555 0133',
        hand: 'right',
        dominantEye: 'right',
        experience: 'regular',
        build: 'strong',
        eyesight: 'glasses for far',
        release: 'index',
      },
      job: {
        purpose: 'hunting',
        furthestM: 40,
        lowLight: true,
        legalMinimumN: 45 * N_PER_POUND,
        legalPlace: 'where she hunts, abroad',
        budgetCents: 230000,
        promisedDay: day(8),
      },
    },
    M,
  );
  scene
    .take('armSpan', '70')
    .take('fittingBow', '26 1/4')
    .trial('50#', 'smooth')
    .trial('60#', 'strained');
  scene.bow('fjordling-29-r', 'draws 52 on her old bow all day').do({
    name: 'setGoal',
    goal: 'peakWeight',
    entered: '52',
    reason: 'what she draws on her old bow',
  });
  scene
    .take('moduleTop', '28')
    .take('moduleBottom', '28')
    .take('peakWeight', '70.8', { entered2: '0' })
    .take('peakWeight', '59', { entered2: '4' })
    .take('peakWeight', '52.3', { entered2: '6 1/2' });
  scene
    .parts({
      rest: 'rest-lever-pro',
      sight: 'sight-einton',
      peep: 'peep-rund-1-4',
      loop: 'loop-schlinge',
      arrows: 'arrows-halm-340',
      release: 'release-zeigefinger-leder',
      quiver: 'quiver-kocher-funf',
    })
    .leave('kit');
}

export function choosingKit(db: Db, at: At, day: Day): void {
  at(-1, '12:30');
  new Scene(
    db,
    {
      archer: {
        name: 'Ove Lindqvist',
        phone: '0151 555 0164',
        hand: 'right',
        dominantEye: 'left',
        ageBand: 'from60',
        experience: 'regular',
        build: 'medium',
        injury: 'right shoulder, two years ago',
        release: 'thumb',
        eyeHandling: 'closeEye',
      },
      job: {
        purpose: 'target',
        furthestM: 50,
        budgetCents: 160000,
        promisedDay: day(20),
        alreadyOwn: 'quiver, release',
      },
    },
    T,
  )
    .take('armSpan', '70 3/4')
    .take('wallToMouth', '28')
    .take('eyeTest', '', { choice: 'left' })
    .take('eyeTest', '', { choice: 'left' })
    .trial('25#', 'smooth')
    .trial('30#', 'smooth')
    .bow('wellenlaeufer-r')
    .take('moduleBottom', '28')
    .take('peakWeight', '50.8', { entered2: '0' })
    .take('peakWeight', '33.6', { entered2: '5' })
    .part('release', null, 'his own thumb release')
    .part('rest', 'rest-stille')
    .leave('kit');
}

export function settingTheBow(db: Db, at: At, day: Day): void {
  at(-1, '17:00');
  const scene = new Scene(
    db,
    {
      archer: {
        name: 'Casimir Dröge',
        phone: '0151 555 0175',
        hand: 'right',
        dominantEye: 'right',
        experience: 'regular',
        build: 'strong',
        release: 'backTension',
      },
      job: {
        purpose: 'target',
        furthestM: 50,
        budgetCents: 250000,
        promisedDay: day(6),
        notes: 'a spare like his first',
      },
    },
    M,
  );
  scene
    .take('fittingBow', '27 1/8')
    .take('armSpan', '72 3/4')
    .trial('50#', 'smooth', '14.0')
    .do({ name: 'startDrawOff', bowIds: ['grauspecht-34-r', 'grauspecht-36-r', 'granit-35-r'] })
    .compare('grauspecht-36-r', 'granit-35-r', {
      grip: 'grauspecht-36-r',
      draw: 'grauspecht-36-r',
      wall: 'granit-35-r',
      quiet: 'grauspecht-36-r',
      hold: null,
    })
    .compare('grauspecht-34-r', 'grauspecht-36-r', {
      grip: null,
      draw: 'grauspecht-36-r',
      wall: null,
      quiet: 'grauspecht-34-r',
      hold: 'grauspecht-36-r',
    })
    .bow('grauspecht-36-r')
    .take('peakWeight', '61', { entered2: '0' })
    .leave('bow');
}

export function justMet(db: Db, at: At, day: Day): void {
  at(0, '08:50');
  new Scene(
    db,
    {
      archer: {
        name: 'Jarle Winther',
        phone: '0151 555 0191',
        hand: 'right',
        dominantEye: 'unsure',
        experience: 'some',
      },
      job: {
        purpose: 'field',
        notes: `brings his own bow in a box; wants it by ${day(30)} at the latest`,
        alreadyOwn: 'a bow, arrows',
      },
    },
    T,
  )
    .take('fittingBow', '26 3/8')
    .take('oldPeak', '47#')
    .take('oldHolding', '11.5#')
    .take('oldPeepToPin', '29 1/4')
    .leave('meet');
}
