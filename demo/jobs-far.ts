import { HANDOVER_CAUTIONS } from '@/core/job';
import type { Db } from '@/data/db';
import { bench, M, Scene, T, type At, type Day } from './scene';

const STAYS = { tip: 'stays', tipHow: 'slight', pitch: 'stays', pitchHow: 'slight' } as const;

export function finished(db: Db, at: At, day: Day): void {
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
  bench(scene, {
    serialNumber: 'GR-34-1187',
    foundModule: '29',
    foundTurns: '0',
    foundBrace: '7',
    foundAxles: '34',
    foundWhole: '',
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
    stops: '',
    arrowMass: '380gr',
    restFitted: '',
    restHeight: '0.5mm',
    silencing: '',
    launcherSet: '',
    sightFitted: '',
    sightBase: '3',
    housingHeight: '6mm',
    housingWindage: '-0.5mm',
    nockHeight: '1mm',
    centreShot: '7/8',
    quiverFitted: '',
    stabiliserFitted: '',
    firstAxis: '0',
    secondAxis: '0',
    thirdAxis: '0.2',
    loop: '1/2',
    loopPlace: 'around',
    cordLed: '',
  });
  at(-2, '14:10');
  bench(scene, {
    stringTwists: '3',
    peepHeight: '6',
    inTracks: '',
    braceHeight: '7',
    axleToAxle: '34 1/8',
    drawLength: '26',
    timing: '0.5mm',
    camLeanUpper: '1mm',
    camLeanLower: '0',
    peakWeight: '44.5',
    holdingWeight: '11',
    peepTrueHeight: '120mm',
    peepToPin: '30',
    downCableFound: '',
    restCord: '1/2',
    cableGuard: '33mm',
    vaneClearance: '',
    peepRotation: '',
    firstArrows: '',
    archerWord: 'fine',
  });
  scene
    .tear('-13', '2')
    .do({ name: 'movePaper', adjustment: 'restSideways', amount: 2 })
    .tear('-6', '1')
    .do({ name: 'movePaper', adjustment: 'restSideways', amount: 1.25 })
    .take('launcherClear')
    .take('restCord', '1/2')
    .take('vaneClearance')
    .take('setScrews')
    .tear('1', '2')
    .tear('-2', '0')
    .tear('-1', '-1')
    .tear('0', '1')
    .take('cordTied')
    .speeds('221.4', '220.6', '221.1');
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
  scene
    .do({ name: 'takeMark', distance: '30 m', drop: '8.9 mm' })
    .do({ name: 'takeMark', distance: '45 m', drop: '21.7 mm' })
    .do({ name: 'takeMark', distance: '60 m', drop: '36.0 mm' })
    .take('tape')
    .do({ name: 'takeHang', point: 'hangAxle', lean: '21', bare: true, quiver: 'off' })
    .do({ name: 'takeHang', point: 'hangThread', lean: '8', bare: true, quiver: 'off' })
    .do({
      name: 'takeReaction',
      ...STAYS,
      tip: 'right',
      pitch: 'back',
      pitchHow: 'clear',
      bars: false,
      quiver: 'off',
    })
    .do({
      name: 'mountBars',
      front: {
        thread: 0,
        barId: 'stabiliser-stab-10',
        mountId: null,
        downDeg: 0,
        sideDeg: 0,
        slideMm: 0,
        discId: null,
        discs: 0,
      },
      rear: null,
    })
    .do({ name: 'takeReaction', ...STAYS, bars: true, quiver: 'off' })
    .do({ name: 'takeReaction', ...STAYS, bars: true, quiver: 'off' })
    .take('bowMass', '2530')
    .take('fasteners');
  at(-1, '17:30');
  HANDOVER_CAUTIONS.forEach(({ id }) =>
    scene.do({ name: 'acknowledge', cautionId: id, yes: true }),
  );
  scene.do({ name: 'handOver', openReason: '' }).leave('handover');
}

export function stale(db: Db, at: At, day: Day): void {
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
  scene
    .trial('35#', 'smooth', '15.2')
    .trial('40#', 'smooth', '12.0')
    .trial('45#', 'smooth', '9.6')
    .look('27 1/2', {
      bowArm: 'right',
      elbow: 'right',
      shoulders: 'right',
      lean: 'right',
      anchor: 'right',
      stringToNose: 'right',
      head: 'right',
    });
  at(-3, '15:00');
  scene.bow('fjordling-31-r').do({
    name: 'setGoal',
    goal: 'peakWeight',
    entered: '42',
    reason: 'draws 45 well, shall grow into it',
  });
  bench(scene, {
    serialNumber: 'SF-31-0412',
    foundModule: '29',
    foundTurns: '0',
    foundBrace: '6 1/2',
    foundAxles: '31',
    foundWhole: '',
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
    restHeight: '0.5mm',
    silencing: '',
    launcherSet: '',
    nockHeight: '1mm',
    centreShot: '13/16',
    loop: '1/2',
    loopPlace: 'around',
    sightFitted: '',
    sightBase: '2',
    housingHeight: '8mm',
    housingWindage: '0',
    firstAxis: '0',
    secondAxis: '0.1',
    thirdAxis: '0',
    stabiliserFitted: '',
    launcherClear: '',
  });
  at(-1, '11:20');
  bench(scene, {
    stringTwists: '0',
    peepHeight: '6 1/8',
    inTracks: '',
    drawLength: '25 11/16',
    timing: '0',
    camLeanUpper: '1mm',
    camLeanLower: '-1mm',
    braceHeight: '6 1/2',
    axleToAxle: '31',
    peakWeight: '42.3',
    holdingWeight: '8.6',
    peepTrueHeight: '118mm',
    peepToPin: '29 1/2',
    downCableFound: '',
    restCord: '5/8',
  });
  scene.logCurve(696.9, 188.2);
  at(0, '09:10');
  bench(scene, { stringTwists: '-1', inTracks: '', timing: '0.5mm' }).leave('bench');
}
