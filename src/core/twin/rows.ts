import {
  isSameBow,
  type JobDerived,
  type JobSnapshot,
  type ModelBow,
  type ModelValue,
} from '../job';
import {
  latest,
  readingText,
  REGISTRY,
  writeValue,
  type Reading,
  type SetupKey,
  type SetupValue,
  type SheetGroup,
} from '../setup';
import { backToPart, SHEET_GROUPS } from '../sheet';
import type { ShopUnits } from '../units';

/**
 * How a value stands beside the model's: alike within its tolerance; off; not read yet on this bow; not
 * told by the model; where one begins and no more; or of the bow itself and nothing to be made alike.
 */
export type TwinStanding = 'same' | 'off' | 'open' | 'notTold' | 'start' | 'beside';

export interface TwinRow {
  readonly key: SetupKey;
  readonly name: string;
  readonly group: SheetGroup;
  readonly model: ModelValue | null;
  /** In the shop's units; null where the model does not tell. */
  readonly modelText: string | null;
  /** The newest reading that holds; null where there is none, or it has to be taken again. */
  readonly now: Reading | null;
  readonly nowText: string | null;
  /** This bow less the model, SI; null for words, or where one is missing. */
  readonly differs: number | null;
  /** The same in the trade's units, with its sign. */
  readonly differsText: string | null;
  readonly standing: TwinStanding;
}

/** What makes two bows shoot alike whatever they are: judged on every bow, though no target is made of it. */
const JUDGED_ALWAYS: readonly SetupKey[] = ['arrowMass'];
/** Bars as they stand, and the mass they make. */
export const BARS: readonly SetupKey[] = [
  'frontBar',
  'frontBarDown',
  'frontDiscs',
  'rearBar',
  'rearBarSide',
  'rearBarDown',
  'rearBarSlide',
  'rearDiscs',
  'bowMass',
];
/** On the same kind of bow these are judged besides what is taken over. */
const JUDGED_ON_SAME: readonly SetupKey[] = [
  'holdingWeight',
  'braceHeight',
  'axleToAxle',
  'loopPlace',
  'cordLimb',
  ...BARS,
];

const isJudged = ({ key, carries }: SetupValue, sameBow: boolean): boolean =>
  carries === 'always' ||
  JUDGED_ALWAYS.includes(key) ||
  (sameBow && (carries === 'sameBow' || JUDGED_ON_SAME.includes(key)));

/** Every setting of the model, or of this bow, side by side, under the headings of the sheet. */
export function twinRows(snapshot: JobSnapshot, derived: JobDerived): TwinRow[] {
  const { job, bow, shop } = snapshot;
  const { like } = job;
  if (!like) return [];
  const { history, context, plan } = derived;
  const stale = new Set(plan.stale.map(({ key }) => key));
  const rows = REGISTRY.flatMap((value) => {
    const { key } = value;
    if (!value.backTo || value.applies?.(context) === false) return [];
    const model = like.values.find((one) => one.key === key) ?? null;
    const reading = latest(history, key);
    if (!model && !reading) return [];
    const now = reading && !stale.has(key) ? reading : null;
    return [
      rowOf(value, { model, now, like, sameBow: isSameBow(like, bow), units: shop.units, context }),
    ];
  });
  const order = new Map(SHEET_GROUPS.map(({ id }, i) => [id, i]));
  return rows.sort((a, b) => order.get(a.group)! - order.get(b.group)!);
}

interface Sides {
  readonly model: ModelValue | null;
  readonly now: Reading | null;
  readonly like: ModelBow;
  readonly sameBow: boolean;
  readonly units: ShopUnits;
  readonly context: JobDerived['context'];
}

function rowOf(value: SetupValue, { model, now, sameBow, units, context }: Sides): TwinRow {
  const { key, name } = value;
  const differs =
    model === null || model.si === null || now === null || now.si === null
      ? null
      : now.si - model.si;
  return {
    key,
    name,
    group: backToPart(value, context).group!,
    model,
    modelText: model && (model.si === null ? model.text : writeValue(key, model.si, units)),
    now,
    nowText: now && readingText(now, units),
    differs,
    differsText: differs === null ? null : differsText(value, differs, units),
    standing: standingOf(value, { model, now, differs, sameBow, units }),
  };
}

function standingOf(
  value: SetupValue,
  {
    model,
    now,
    differs,
    sameBow,
    units,
  }: Omit<Sides, 'like' | 'context'> & { differs: number | null },
): TwinStanding {
  if (!model) return 'notTold';
  const judged = isJudged(value, sameBow);
  if (!now) return judged ? 'open' : value.carries === 'start' && sameBow ? 'start' : 'beside';
  const alike =
    differs === null
      ? readingText(now, units) === model.text
      : Math.abs(differs) <= value.tolerance + 1e-9;
  if (alike) return 'same';
  if (judged) return 'off';
  return value.carries === 'start' && sameBow ? 'start' : 'beside';
}

/** "+ 1/8 in", "2 marks more". */
function differsText({ key, spokenAs }: SetupValue, differs: number, units: ShopUnits): string {
  if (spokenAs === 'mark' || spokenAs === 'disc') {
    const count = Math.round(Math.abs(differs));
    const unit = `${spokenAs}${count === 1 ? '' : 's'}`;
    return count === 0 ? 'none' : `${count} ${unit} ${differs > 0 ? 'more' : 'less'}`;
  }
  return writeValue(key, differs, units, true);
}

/** Of the rows that are to be alike: how many are, and how many there are. */
export function twinCount(rows: readonly TwinRow[]): {
  readonly same: number;
  readonly all: number;
} {
  const judged = rows.filter(({ standing }) => ['same', 'off', 'open'].includes(standing));
  return { same: judged.filter(({ standing }) => standing === 'same').length, all: judged.length };
}

/** The row of a key; null where neither bow has it. */
export const rowOfKey = (rows: readonly TwinRow[], key: SetupKey): TwinRow | null =>
  rows.find((row) => row.key === key) ?? null;

/** What is to be alike of these keys and is not, and what was not read yet. */
export const unsettled = (rows: readonly TwinRow[], keys: readonly SetupKey[]): TwinRow[] =>
  keys.flatMap((key) =>
    rows.filter((row) => row.key === key && (row.standing === 'off' || row.standing === 'open')),
  );
