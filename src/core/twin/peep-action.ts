import { modelNumber } from '../job';
import { targetOf, writeValue } from '../setup';
import { fresh, type Ground, type Said } from './action-ground';
import { rowOfKey } from './rows';

/** Where it is started, then by how much it is moved along the string for its height at full draw. */
export function peepAction(ground: Ground): Said {
  const { snapshot, derived, rows } = ground;
  const { job, shop } = snapshot;
  const { units } = shop;
  const base = {
    id: 'peep' as const,
    title: 'Peep',
    keys: ['peepHeight', 'peepTrueHeight', 'tubeSide', 'tubeLength'] as const,
  };
  const wanted = modelNumber(job.like, 'peepTrueHeight');
  const here = fresh('peepTrueHeight', ground);
  const along = fresh('peepHeight', ground);
  if (here === null) {
    const start = targetOf('peepHeight', derived.context);
    return {
      ...base,
      say:
        start === null || along !== null
          ? []
          : [
              `In the string at ${writeValue('peepHeight', start.si, units)} above the nock to begin with. ${start.reason}`,
            ],
      moves: along === null ? [] : ['read at full draw, it says how far it is off'],
      press: along === null,
    };
  }
  const row = rowOfKey(rows, 'peepTrueHeight');
  if (wanted === null || row?.standing !== 'off')
    return { ...base, say: [], moves: [], press: false };
  const short = wanted - here;
  const ratio = peepRatio(ground, along, here);
  const size = (si: number) => writeValue('peepTrueHeight', Math.abs(si), units);
  return {
    ...base,
    say: [
      ratio === null
        ? `${short > 0 ? 'Up' : 'Down'} by ${size(short)} as measured at full draw; along the string that is a little more`
        : `${short > 0 ? 'Up' : 'Down'} by ${size(short / ratio)} along the string: that is ${size(short)} at full draw`,
    ],
    moves: [
      `every pin about ${size(short)} ${short > 0 ? 'higher' : 'lower'} on the sight; the gaps stay`,
      'the peep’s turn: look at it square again',
    ],
    press: true,
  };
}

/** Peep above the arrow for each millimetre along the string, of this bow where both were read, else of the model. */
function peepRatio({ snapshot }: Ground, along: number | null, here: number): number | null {
  if (along !== null && along > 0) return here / along;
  const [height, string] = (['peepTrueHeight', 'peepHeight'] as const).map((key) =>
    modelNumber(snapshot.job.like, key),
  );
  return height && string ? height / string : null;
}
