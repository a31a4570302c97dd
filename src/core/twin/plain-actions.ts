import { modelNumber } from '../job';
import { mendText, targetOf } from '../setup';
import { write } from '../units';
import { fresh, speedMove, type Ground, type Said } from './action-ground';
import { rowOfKey, unsettled } from './rows';

/** Values that are set each by itself: what is off by how much, what was not read as the model has it. */
export function plainAction(
  { snapshot, derived, rows }: Ground,
  { id, title, keys }: Pick<Said, 'id' | 'title' | 'keys'>,
): Said {
  const { units } = snapshot.shop;
  const say = unsettled(rows, keys).map(({ key, name, now, modelText, differsText, standing }) => {
    if (standing === 'open') return `${name}: ${modelText}`;
    const target = targetOf(key, derived.context);
    return now && target && now.si !== null
      ? `${name}: ${mendText(key, now, target, units)}, to ${modelText}`
      : `${name}: ${modelText}${differsText === null ? '' : ` (here ${differsText})`}`;
  });
  return { id, title, keys, say, moves: [], press: false };
}

/** Further or nearer on its bar: the gaps go with it. */
export function sightAction(ground: Ground): Said {
  const { snapshot } = ground;
  const { units } = snapshot.shop;
  const said = plainAction(ground, {
    id: 'sight',
    title: 'Sight',
    keys: ['peepToPin'],
  });
  const [wanted, here] = [modelNumber(snapshot.job.like, 'peepToPin'), fresh('peepToPin', ground)];
  if (wanted === null || here === null || said.say.length === 0) return said;
  const part = Math.abs(wanted / here - 1) * 100;
  return {
    ...said,
    say: [
      `Pins ${write(Math.abs(wanted - here), 'length', units)} ${wanted > here ? 'further from' : 'nearer to'} the peep, by the sight’s bar`,
    ],
    moves: [`gaps between the pins ${part.toFixed(1)} % ${wanted > here ? 'wider' : 'narrower'}`],
  };
}

/** As the model's is built; another mass is another speed. */
export function arrowAction(ground: Ground): Said {
  const { snapshot, rows } = ground;
  const { like } = snapshot.job;
  const row = rowOfKey(rows, 'arrowMass');
  const label = snapshot.parts.find(({ slot }) => slot === 'arrows')?.label ?? null;
  const model = like!.parts.find(({ slot }) => slot === 'arrows')?.label ?? null;
  const base = { id: 'arrow' as const, title: 'Arrow', keys: ['arrowMass'] as const, press: false };
  if (row === null || (row.standing !== 'off' && row.standing !== 'open'))
    return { ...base, say: [], moves: [] };
  return {
    ...base,
    say: [
      like!.arrow ?? `An arrow of ${row.modelText}`,
      ...(model !== null && label !== null && model !== label
        ? [`Here: ${label}; there: ${model}`]
        : []),
      ...(row.differsText === null ? [] : [`Its mass is ${row.differsText} beside the model’s`]),
    ],
    moves: row.differs === null ? [] : speedMove(ground, 'perGramMps', -row.differs),
  };
}
