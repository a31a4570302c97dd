import type { Db } from '@/data/db';
import { bench, M, Scene, type At, type Day } from './scene';

export function onTheLane(
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
  bench(scene, {
    serialNumber: 'GR-34-1190',
    foundModule: '29',
    foundTurns: '0',
    foundBrace: '7',
    foundAxles: '34',
    foundWhole: '',
  });
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
    stops: '',
    arrowMass: '405gr',
    restFitted: '',
    restHeight: '0.5mm',
    silencing: '',
    launcherSet: '',
    nockHeight: '2mm',
    centreShot: '7/8',
    loop: '1/2',
    loopPlace: 'around',
    sightFitted: '',
    sightBase: '3',
    housingHeight: '6mm',
    housingWindage: '-0.5mm',
    firstAxis: '0',
    secondAxis: '0',
    thirdAxis: '0',
    cordLed: '',
    launcherClear: '',
    setScrews: '',
  });
  bench(scene, {
    stringTwists: '4',
    peepHeight: '6 1/4',
    inTracks: '',
    drawLength: '27 1/16',
    timing: '0',
    camLeanUpper: '1mm',
    camLeanLower: '-1mm',
    braceHeight: '7',
    axleToAxle: '34 1/8',
    peakWeight: '50.5',
    holdingWeight: '12.6',
    peepTrueHeight: '122mm',
    peepToPin: '30 3/4',
    downCableFound: '',
    restCord: '3/4',
    cableGuard: '33mm',
    vaneClearance: '',
    peepRotation: '',
    firstArrows: '',
    archerWord: 'fine',
  });
  at(0, '09:30');
  scene
    .tear('16', '5')
    .do({ name: 'movePaper', adjustment: 'restSideways', amount: -2 })
    .tear('7', '3')
    .leave('lane');
}
