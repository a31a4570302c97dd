import { itemOf } from '../../kit';
import { spoken } from '../../units';
import { values } from '../value-entry';
import { dim, spot } from '../figure';

/** Where the arrow is nocked, and what is tied there. */
export const NOCK = values({
  nockHeight: {
    name: 'Nock height',
    short: 'nock height',
    kind: 'length',
    tolerance: 1,
    min: -15,
    max: 25,
    bareUnit: 'mm',
    dependsOn: ['restFitted', 'restHeight', 'newString'],
    notice: 0.75,
    stage: 'bench',
    part: 'nock',
    how: 'Nock above (+) square, bow square on the string',
    tool: 'bow square',
    changed: 'the nock height was moved',
    carries: 'sameBow',
    backTo: { datum: 'nock above (+) square, bow square on the string' },
    figure: dim('rest', 162, 68, 162, 75),
    onMap: 1,
    target: ({ schools }) =>
      schools.nockHeight === 'level'
        ? {
            si: 0,
            low: -1,
            high: 1,
            reason: 'Level to begin with; paper decides later',
            source: 'shop rule',
          }
        : {
            si: 1,
            low: 0,
            high: 3,
            reason: 'A touch high to begin with; paper decides later',
            source: 'shop rule',
          },
    paperBand: 5,
    mend: ['raise it', 'lower it'],
  },
  loop: {
    name: 'Loop',
    short: 'loop',
    kind: 'length',
    tolerance: 2,
    min: 6,
    max: 40,
    dependsOn: ['nockHeight', 'part:loop', 'newString'],
    over: { nockHeight: 1 },
    stage: 'bench',
    part: 'nock',
    how: 'String to the inside of the loop, pulled tight',
    tool: 'pliers, rule',
    changed: 'the loop was tied anew',
    carries: 'always',
    backTo: { datum: 'string to the inside of the loop, pulled tight' },
    figure: dim('knot', 96, 96, 152, 96),
    onMap: 2,
    target: ({ kit, shop }) => {
      const loop = itemOf(kit, 'loop');
      const si = loop?.attrs.lengthMm ?? 12.7;
      return {
        si,
        low: si - 3,
        high: si + 3,
        reason: loop
          ? 'Length of the chosen loop'
          : `Usual length: ${spoken(12.7, 'length', shop, 'half an inch')}`,
        source: loop ? 'part' : 'shop rule',
      };
    },
    mend: ['tie it longer by', 'tie it shorter by'],
  },
  nockPoint: {
    name: 'Nocking point',
    short: 'nock point',
    kind: 'check',
    tolerance: 0,
    dependsOn: ['nockHeight', 'part:nockingPoint', 'newString'],
    stage: 'bench',
    part: 'nock',
    how: 'Sits tight above the nock, the nock still turns',
    tool: 'nock pliers or thread',
    changed: 'the nocking point was moved',
    figure: spot('knot', 96, 52),
  },
  loopPlace: {
    name: 'Loop’s place',
    short: 'loop place',
    kind: 'choice',
    tolerance: 0,
    dependsOn: ['nockHeight', 'part:loop'],
    over: { nockHeight: 1 },
    stage: 'bench',
    part: 'nock',
    how: 'Where the loop’s two knots sit',
    tool: 'eyes',
    changed: 'the loop was moved',
    backTo: { datum: 'where the two knots sit' },
    choices: [
      { id: 'around', name: 'above and below the nock' },
      { id: 'below', name: 'both knots under the nock' },
    ],
    figure: spot('knot', 96, 75),
  },
  kisser: {
    name: 'Kisser',
    short: 'kisser',
    kind: 'length',
    tolerance: 2,
    min: 20,
    max: 150,
    dependsOn: ['drawLength', 'loop', 'nockHeight', 'part:nockingPoint', 'newString'],
    over: { nockHeight: 1 },
    stage: 'bench',
    part: 'nock',
    how: 'Nock to the middle of the kisser, along the string at rest; it meets the corner of the mouth',
    tool: 'nock pliers, archer',
    archer: true,
    changed: 'the kisser was moved',
    carries: 'always',
    backTo: { datum: 'nock to the kisser’s middle, along the string' },
    figure: dim('rest', 162, 58, 162, 75),
  },
});
