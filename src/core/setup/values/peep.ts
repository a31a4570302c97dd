import { HOW_MEASURED } from '../../fit';
import { MM_PER_INCH, spoken } from '../../units';
import { values } from '../value-entry';
import { dim, spot } from '../figure';

/** Peep above the nock to start with, until the archer says otherwise. */
const PEEP_START_MM = 6 * MM_PER_INCH;

/** The peep, its height, turn and tube. */
export const PEEP = values({
  peepHeight: {
    name: 'Peep on the string',
    short: 'peep',
    kind: 'length',
    tolerance: 2,
    min: 80,
    max: 260,
    dependsOn: ['drawLength', 'loop', 'nockHeight', 'part:peep', 'newString'],
    over: { nockHeight: 1 },
    notice: 1.5,
    stage: 'bench',
    part: 'peep',
    how: HOW_MEASURED.peepHeight,
    tool: 'tape, archer',
    changed: 'the peep was moved',
    carries: 'start',
    backTo: { datum: 'nock to the peep’s middle, along the string at rest' },
    figure: dim('rest', 162, 46, 162, 75),
    onMap: 2,
    target: ({ oldBow: { oldPeepHeight }, like, shop }) => ({
      si: like?.starts.peepHeight ?? oldPeepHeight ?? PEEP_START_MM,
      low: 110,
      high: 200,
      reason: like?.starts.peepHeight
        ? `As on the model to begin with: ${like.title}; the true height decides`
        : oldPeepHeight
          ? 'As on the old bow to begin with; the archer’s eye decides'
          : `About ${spoken(PEEP_START_MM, 'length', shop, 'six inches')} to begin with; the archer’s eye decides`,
      source: like?.starts.peepHeight ? 'model' : oldPeepHeight ? 'old bow' : 'shop rule',
    }),
    mend: ['slide it up by', 'slide it down by'],
  },
  peepTrueHeight: {
    name: 'Peep above the arrow',
    short: 'peep, true',
    kind: 'length',
    tolerance: 2,
    min: 70,
    max: 220,
    dependsOn: ['peepHeight', 'drawLength', 'nockHeight', 'stringTwists'],
    over: { nockHeight: 1 },
    notice: 1,
    stage: 'bench',
    part: 'peep',
    how: HOW_MEASURED.peepTrueHeight,
    tool: 'draw board, rule',
    changed: 'the peep’s true height changed',
    carries: 'always',
    backTo: { datum: 'shaft’s middle to the peep’s middle, upright at full draw' },
    figure: dim('drawn', 186, 60, 186, 75),
    onMap: 1,
    target: ({ oldBow: { oldPeepTrueHeight: si } }) =>
      si === undefined
        ? null
        : {
            si,
            low: si - 3,
            high: si + 3,
            reason: 'As on the old bow they like',
            source: 'old bow',
          },
    mend: ['raise the peep by', 'lower the peep by'],
  },
  peepRotation: {
    name: 'Peep square at full draw',
    short: 'peep turn',
    kind: 'check',
    tolerance: 0,
    dependsOn: ['peepHeight', 'stringTwists', 'peakWeight'],
    over: { peepHeight: 3, peakWeight: 9 },
    stage: 'bench',
    part: 'peep',
    how: 'Archer at full draw sees a round hole',
    tool: 'archer',
    archer: true,
    changed: 'the peep was turned',
    figure: spot('drawn', 186, 60),
    onMap: 3,
  },
  tubeSide: {
    name: 'Side of the peep’s tube',
    short: 'tube side',
    kind: 'choice',
    tolerance: 0,
    dependsOn: ['part:peep'],
    stage: 'bench',
    part: 'peep',
    how: 'Where the tube runs from peep to cable, seen from behind',
    tool: 'eyes',
    changed: 'the tube’s side was changed',
    backTo: { datum: 'seen from behind' },
    choices: [
      { id: 'left', name: 'left' },
      { id: 'right', name: 'right' },
    ],
    figure: spot('drawn', 176, 52),
  },
  tubeLength: {
    name: 'Length of the peep’s tube',
    short: 'tube',
    kind: 'length',
    tolerance: 4,
    min: 60,
    max: 500,
    dependsOn: ['peepHeight', 'drawLength', 'tubeSide'],
    over: { peepHeight: 5, drawLength: 6 },
    stage: 'bench',
    part: 'peep',
    how: 'Peep to where it is tied, slack at rest and just tight at full draw',
    tool: 'scissors, tape',
    changed: 'the tube was cut or tied anew',
    backTo: { datum: 'peep to where the tube is tied, slack at rest' },
    figure: dim('drawn', 186, 60, 150, 40),
  },
  tubeTurn: {
    name: 'Peep turned by its tube',
    short: 'tube turn',
    kind: 'check',
    tolerance: 0,
    dependsOn: ['tubeLength', 'stringTwists', 'peepHeight'],
    over: { peepHeight: 3 },
    stage: 'bench',
    part: 'peep',
    how: 'Tube moved round until the hole stands square at full draw; the press is not needed',
    tool: 'fingers, draw board',
    changed: 'the peep was turned by its tube',
    figure: spot('drawn', 186, 60),
  },
});
