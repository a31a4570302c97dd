import { bowName } from '../bow';
import type { JobDerived, JobSnapshot } from '../job';
import { block, cell, SHEET_GROUPS, type SheetBlock } from '../sheet';
import { write } from '../units';
import { twinMarks, type TwinMarks } from './marks';
import { modelBowLine } from './model-of';
import { twinCount, twinRows, type TwinRow, type TwinStanding } from './rows';
import { unequalParts } from './unequal';

/** Both bows on one page: the web page and the PDF draw this and nothing else. */
interface TwinPage {
  readonly title: string;
  /** The two bows, this one first. */
  readonly bows: readonly [string, string];
  /** "9 of 12 alike". */
  readonly count: string;
  readonly blocks: readonly SheetBlock[];
}

export const STANDING_WORDS: Readonly<Record<TwinStanding, string>> = {
  same: 'alike',
  off: 'not alike',
  open: 'not read here',
  notTold: 'not told there',
  start: 'a beginning',
  beside: 'of the bow itself',
};

const COLUMNS = [0.3, 0.16, 0.2, 0.14, 0.2];
const HEADS = [
  cell(''),
  cell('here', 'soft', true),
  cell('model', 'soft', true),
  cell('differs', 'soft', true),
  cell(''),
];

/** @returns null where the job has no model. */
export function twinPage(snapshot: JobSnapshot, derived: JobDerived): TwinPage | null {
  const { job, bow, bowHeld } = snapshot;
  if (!job.like) return null;
  const rows = twinRows(snapshot, derived);
  const { same, all } = twinCount(rows);
  const marks = twinMarks(snapshot, derived);
  return {
    title: 'Two bows alike',
    bows: [
      bow
        ? [bowName(bow), `${bow.hand} hand`, bowHeld?.serial && `no. ${bowHeld.serial}`]
            .filter(Boolean)
            .join(', ')
        : 'no bow yet',
      `${modelBowLine(job.like)} (${job.like.title})`,
    ],
    count: `${same} of ${all} alike, each within its tolerance`,
    blocks: [
      ...SHEET_GROUPS.map(({ id, name }) => {
        const mine = rows.filter(({ group }) => group === id).map(rowCells);
        return block(id, name, COLUMNS, mine.length === 0 ? [] : [HEADS, ...mine]);
      }),
      unequalBlock(snapshot, derived),
      marks && marksBlock(marks, snapshot),
    ].filter((one) => one !== null),
  };
}

const rowCells = ({ name, nowText, modelText, differsText, standing }: TwinRow) => [
  cell(name),
  cell(nowText ?? '—', 'figure', true),
  cell(modelText ?? '—', 'figure', true),
  cell(standing === 'same' ? '' : (differsText ?? ''), 'figure', true),
  cell(STANDING_WORDS[standing], standing === 'off' ? 'strong' : 'soft'),
];

function unequalBlock(snapshot: JobSnapshot, derived: JobDerived): SheetBlock | null {
  return block(
    'unequal',
    'Cannot be made equal',
    [0.28, 0.36, 0.36],
    unequalParts(snapshot, derived).map(({ name, model, here, does, closest }) => [
      cell(`${name}: ${here} here, ${model} there`, 'strong'),
      cell(does),
      cell(closest),
    ]),
  );
}

const below = (mm: number) => `${mm.toFixed(1).replace('-', '−')} mm`;

const marksBlock = ({ firstM, rows, basis }: TwinMarks, { shop }: JobSnapshot) => {
  const say = (m: number) => write(m, 'distance', shop.units, { decimals: 0 });
  return block(
    'marks',
    `Marks below ${say(firstM)}: here, there`,
    [0.25, 0.25, 0.25, 0.25],
    rows.map(({ distanceM, modelMm, hereMm, shot }) => [
      cell(say(distanceM), 'strong'),
      cell(hereMm === null ? 'out of reach' : below(hereMm), 'figure', true),
      cell(below(modelMm), 'figure', true),
      cell(shot ? 'shot' : 'prediction until shot', 'soft'),
    ]),
    { note: `${basis.join('. ')}.` },
  );
};
