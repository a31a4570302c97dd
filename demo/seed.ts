import type { NewJobRequest } from '@/contracts/commands';
import type { Command } from '@/contracts/commands';
import { HANDOVER_CAUTIONS, type JobSnapshot } from '@/core/job';
import { TRADE_UNITS } from '@/core/units';
import type { Db } from '@/data/db';
import { saveShopSettings } from '@/data/settings';
import { insertBow, insertItem } from '@/data/stock';
import { addDays, now, pretendNow, shopDay } from '@/server/clock';
import { createJob, runCommand } from '@/server/commands';
import { rememberPlace } from '@/server/place';
import { demoBows, demoCatalogue } from './load-csv';

const ZONE = 'Europe/Berlin';

/** One demo job under way: the same commands the screens send, so nothing here can be made up. */
class Scene {
  private snapshot: JobSnapshot;
  constructor(
    private readonly db: Db,
    request: Omit<NewJobRequest, 'who'>,
    private readonly who: string,
  ) {
    this.snapshot = createJob({ who, ...request }, db);
  }

  get id() {
    return this.snapshot.job.id;
  }

  do(command: Command): this {
    const body = { version: this.snapshot.job.version, who: this.who, command };
    this.snapshot = runCommand(this.id, body, this.db);
    return this;
  }

  take(key: string, entered = '', more: { entered2?: string; choice?: string } = {}): this {
    return this.do({ name: 'takeReadings', readings: [{ key, entered, ...more }] });
  }

  trial(weight: string, outcome: string): this {
    return this.take('weightTrial', weight, { choice: outcome });
  }

  part(slot: string, itemId: string | null, own: string | null = null): this {
    const body = { slot, itemId, owned: own !== null, label: own ?? '' };
    return this.do({ name: 'choosePart', ...body } as Command);
  }

  parts(pairs: Record<string, string>): this {
    Object.entries(pairs).forEach(([slot, id]) => this.part(slot, id));
    return this;
  }

  bow(bowId: string, reason?: string): this {
    return this.do({ name: 'chooseBow', bowId, ...(reason ? { reason } : {}) });
  }

  leave(place: string): this {
    rememberPlace(this.id, { place }, this.db);
    return this;
  }
}

/** A day and a time of the demo's clock, relative to the day the demo is made. */
function clockAt(today: string) {
  return (days: number, time: string) => {
    // The boathouse keeps German winter time; an hour's error in summer does no harm to a demo.
    pretendNow(new Date(`${addDays(today, days)}T${time}:00+01:00`));
  };
}

/** Fills an empty database with the demo shop: 12 bows, the catalogue, 8 jobs at all stages. */
export function seedDemo(db: Db): void {
  const today = shopDay(ZONE, now());
  const at = clockAt(today);
  const day = (days: number) => addDays(today, days);
  const instant = (days: number, time: string) =>
    new Date(`${day(days)}T${time}:00+01:00`).toISOString();
  saveShopSettings(db, {
    name: 'Bootshaus Archery',
    address: 'Am Slip 4, Lindensee',
    timeZone: ZONE,
    units: TRADE_UNITS,
    loopCounts: false,
    people: ['T. Okoro', 'M. Lindauer'],
  });
  demoBows().forEach((bow) => insertBow(db, bow));
  demoCatalogue().forEach((item) => insertItem(db, item));
  try {
    finished(db, at, day);
    stale(db, at, day);
    onTheLane(db, at, day, instant);
    minorInFit(db, at, day, instant);
    waiting(db, at, day);
    choosingKit(db, at, day);
    settingTheBow(db, at, day);
    justMet(db, at, day);
  } finally {
    pretendNow(null);
  }
}

type At = (days: number, time: string) => void;
type Day = (days: number) => string;
const T = 'T. Okoro';
const M = 'M. Lindauer';

const bench = (scene: Scene, values: Record<string, string>) => {
  for (const [key, entered] of Object.entries(values)) scene.take(key, entered);
  return scene;
};

function finished(db: Db, at: At, day: Day): void {
  at(-4, '10:05');
  const scene = new Scene(
    db,
    {
      archer: {
        name: 'Aino Ruusu',
        phone: '0151 555 0107',
        hand: 'right',
        dominantEye: 'right',
        experience: 'regular',
        build: 'medium',
      },
      job: { purpose: 'field', furthestM: 60, budgetCents: 210000, promisedDay: day(-1) },
    },
    M,
  );
  scene.take('armSpan', '69 1/2').take('wallToMouth', '27 3/4').take('markedArrow', '26 1/8');
  scene.trial('40#', 'smooth').trial('45#', 'smooth').trial('50#', 'strained');
  at(-3, '09:20');
  scene.bow('grauspecht-34-r').take('moduleBottom', '28').do({
    name: 'setGoal',
    goal: 'peakWeight',
    entered: '44',
    reason: 'shoots 44 now and likes it',
  });
  scene
    .take('peakWeight', '60.6', { entered2: '0' })
    .take('peakWeight', '51.2', { entered2: '5' })
    .take('peakWeight', '44.2', { entered2: '8 1/2' });
  scene.parts({
    rest: 'rest-kiebitz',
    sight: 'sight-einton',
    peep: 'peep-rund-3-16',
    loop: 'loop-schlinge',
    arrows: 'arrows-halm-500',
    quiver: 'quiver-kocher-funf',
    stabiliser: 'stabiliser-stab-10',
  });
  scene.part('release', null, 'her own thumb release');
  bench(scene, {
    arrowMass: '380gr',
    restFitted: '',
    sightFitted: '',
    sightBase: '3',
    nockHeight: '1mm',
    centreShot: '7/8',
    quiverFitted: '',
    stabiliserFitted: '',
    firstAxis: '0',
    secondAxis: '0',
    thirdAxis: '0.2',
    loop: '1/2',
  });
  at(-2, '14:10');
  bench(scene, {
    stringTwists: '3',
    peepHeight: '6',
    inTracks: '',
    braceHeight: '7',
    drawLength: '27 3/4',
    timing: '0.5mm',
    peakWeight: '44.5',
    holdingWeight: '11',
    peepTrueHeight: '120mm',
    peepToPin: '30',
    restCord: '1/2',
    vaneClearance: '',
    peepRotation: '',
  });
  scene.take('paperTear', '2', { entered2: '3' }).take('arrowSpeed', '221');
  scene.do({
    name: 'takeGroup',
    distance: '18 m',
    hits: [
      { rightMm: 22, upMm: -8 },
      { rightMm: -18, upMm: 14 },
      { rightMm: 4, upMm: 21 },
      { rightMm: -11, upMm: -19 },
    ],
  });
  scene.take('bowMass', '2760').take('steadyTip', '', { choice: 'still' }).take('fasteners');
  at(-1, '17:30');
  HANDOVER_CAUTIONS.forEach(({ id }) =>
    scene.do({ name: 'acknowledge', cautionId: id, yes: true }),
  );
  scene.do({ name: 'handOver', openReason: '' }).leave('handover');
}

function stale(db: Db, at: At, day: Day): void {
  at(-5, '16:40');
  const scene = new Scene(
    db,
    {
      archer: {
        name: 'Ilse Maarand',
        phone: '0151 555 0142',
        email: 'ilse@maarand.invalid',
        hand: 'right',
        dominantEye: 'right',
        experience: 'none',
        build: 'medium',
      },
      job: {
        purpose: 'field',
        furthestM: 50,
        budgetCents: 190000,
        promisedDay: day(10),
        alreadyOwn: 'nothing yet',
      },
    },
    T,
  );
  scene.take('armSpan', '68').take('wallToMouth', '27 1/2').take('markedArrow', '25 7/8');
  scene.trial('35#', 'smooth').trial('40#', 'smooth').trial('45#', 'smooth');
  at(-3, '15:00');
  scene.bow('fjordling-31-r').do({
    name: 'setGoal',
    goal: 'peakWeight',
    entered: '42',
    reason: 'draws 45 well, shall grow into it',
  });
  scene.take('moduleTop', '27 1/2').take('moduleBottom', '27 1/2');
  scene
    .take('peakWeight', '61.5', { entered2: '0' })
    .take('peakWeight', '52.2', { entered2: '4' })
    .take('peakWeight', '42.4', { entered2: '7 3/4' });
  scene.parts({
    rest: 'rest-brachvogel',
    sight: 'sight-zweiton',
    peep: 'peep-rund-3-16',
    loop: 'loop-schlinge',
    arrows: 'arrows-halm-500',
    release: 'release-zeigefinger',
    stabiliser: 'stabiliser-stab-8',
  });
  at(-1, '10:15');
  bench(scene, {
    arrowMass: '379gr',
    restFitted: '',
    nockHeight: '1mm',
    centreShot: '13/16',
    loop: '1/2',
    sightFitted: '',
    sightBase: '2',
    firstAxis: '0',
    secondAxis: '0.1',
    thirdAxis: '0',
    stabiliserFitted: '',
  });
  at(-1, '11:20');
  bench(scene, {
    stringTwists: '0',
    peepHeight: '6 1/8',
    inTracks: '',
    drawLength: '27 7/16',
    timing: '0',
    braceHeight: '6 1/2',
    peakWeight: '42.3',
    holdingWeight: '8.6',
    peepTrueHeight: '118mm',
    peepToPin: '29 1/2',
    restCord: '5/8',
  });
  at(0, '09:10');
  bench(scene, { stringTwists: '-1', inTracks: '', timing: '0.5mm' }).leave('bench');
}

function onTheLane(
  db: Db,
  at: At,
  day: Day,
  instant: (days: number, time: string) => string,
): void {
  at(-6, '11:00');
  const scene = new Scene(
    db,
    {
      archer: {
        name: 'Teodor Quast',
        phone: '0151 555 0188',
        hand: 'left',
        dominantEye: 'left',
        experience: 'some',
        build: 'strong',
      },
      job: {
        purpose: 'threeD',
        furthestM: 45,
        budgetCents: 220000,
        promisedDay: day(0),
        appointmentAt: instant(0, '16:00'),
      },
    },
    M,
  );
  scene
    .take('armSpan', '72 1/4')
    .take('wallToMouth', '28 3/4')
    .trial('45#', 'smooth')
    .trial('50#', 'smooth')
    .trial('55#', 'smooth');
  at(-4, '13:00');
  scene
    .bow('grauspecht-34-l')
    .take('moduleBottom', '29')
    .do({ name: 'setGoal', goal: 'peakWeight', entered: '50', reason: 'wants room to grow' });
  scene
    .take('peakWeight', '60.2', { entered2: '0' })
    .take('peakWeight', '50.3', { entered2: '5 1/4' });
  scene.parts({
    rest: 'rest-kiebitz-l',
    sight: 'sight-einton-l',
    peep: 'peep-rund-5-32',
    loop: 'loop-schlinge',
    arrows: 'arrows-halm-400',
    release: 'release-daumen-links',
  });
  at(-1, '15:00');
  bench(scene, {
    arrowMass: '405gr',
    restFitted: '',
    nockHeight: '2mm',
    centreShot: '7/8',
    loop: '1/2',
    sightFitted: '',
    sightBase: '3',
    firstAxis: '0',
    secondAxis: '0',
    thirdAxis: '0',
  });
  bench(scene, {
    stringTwists: '4',
    peepHeight: '6 1/4',
    inTracks: '',
    drawLength: '28 13/16',
    timing: '0',
    braceHeight: '7',
    peakWeight: '50.5',
    holdingWeight: '12.6',
    peepTrueHeight: '122mm',
    peepToPin: '30 3/4',
    restCord: '3/4',
    vaneClearance: '',
    peepRotation: '',
  });
  at(0, '09:30');
  scene.take('paperTear', '-14', { entered2: '5' }).leave('lane');
}

function minorInFit(
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
    .trial('18#', 'smooth')
    .leave('fit');
}

function waiting(db: Db, at: At, day: Day): void {
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
      },
      job: {
        purpose: 'hunting',
        furthestM: 40,
        lowLight: true,
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

function choosingKit(db: Db, at: At, day: Day): void {
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

function settingTheBow(db: Db, at: At, day: Day): void {
  at(-1, '17:00');
  new Scene(
    db,
    {
      archer: {
        name: 'Casimir Dröge',
        phone: '0151 555 0175',
        hand: 'right',
        dominantEye: 'right',
        experience: 'regular',
        build: 'strong',
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
  )
    .take('fittingBow', '27 1/8')
    .take('armSpan', '72 3/4')
    .trial('50#', 'smooth')
    .bow('grauspecht-36-r')
    .take('peakWeight', '61', { entered2: '0' })
    .leave('bow');
}

function justMet(db: Db, at: At, day: Day): void {
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
  ).leave('meet');
}
