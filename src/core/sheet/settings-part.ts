import { moduleLabel } from '../bow';
import type { JobDerived, JobSnapshot } from '../job';
import { valueState } from '../route';
import {
  isOwnKey,
  latest,
  readingText,
  REGISTRY,
  setupValue,
  targetText,
  writeValue,
  type BackTo,
  type History,
  type MapPart,
  type Reading,
  type SetupKey,
  type SetupValue,
  type SheetGroup,
  type TargetContext,
} from '../setup';
import type { ShopUnits } from '../units';
import type { SheetSetting } from './sheet-document';

/** Headings of page one, in the order a bow is built. */
export const SHEET_GROUPS: readonly { readonly id: SheetGroup; readonly name: string }[] = [
  { id: 'limbs', name: 'Cams and limbs' },
  { id: 'string', name: 'String and cables' },
  { id: 'rest', name: 'Rest and nock' },
  { id: 'peep', name: 'Peep' },
  { id: 'sight', name: 'Sight' },
  { id: 'arrow', name: 'Arrow in flight' },
  { id: 'bars', name: 'Bars and mass' },
];

const GROUP_OF: Readonly<Record<MapPart, SheetGroup>> = {
  camTop: 'limbs',
  camBottom: 'limbs',
  limbTop: 'limbs',
  limbBottom: 'limbs',
  grip: 'limbs',
  string: 'string',
  cables: 'string',
  nock: 'rest',
  rest: 'rest',
  peep: 'peep',
  sight: 'sight',
  arrow: 'arrow',
  bar: 'bars',
  quiver: 'bars',
};

/** "± 2 mm": lengths in millimetres, for no inch rule is read so finely; null for what is no number. */
function toleranceText({ key, kind, tolerance }: SetupValue, units: ShopUnits) {
  if (tolerance === 0 || ['check', 'text', 'choice', 'tear', 'group', 'mark'].includes(kind))
    return null;
  if (kind === 'length') return `± ${Number(tolerance.toFixed(1))} mm`;
  if (kind === 'turns') return null;
  return `± ${writeValue(key, tolerance, units).replace(/^\+/, '')}`;
}

const NO_SETTING = { group: null, datum: null, tool: null, tolerance: null };

/** Angles and discs of a side of the bow where no bar stands. */
function isOfNoBar(key: SetupKey, history: History): boolean {
  const side = /^(front|rear)(?=[A-Z])/.exec(key)?.[0];
  if (!side || key === `${side}Bar`) return false;
  const data = latest(history, `${side as 'front' | 'rear'}Bar`)?.data;
  return data?.kind === 'bar' && data.set === null;
}

/** Where a setting stands on page one and from where to where it is measured. */
export function backToPart(
  value: SetupValue,
  context: Pick<TargetContext, 'kit' | 'shop'>,
): Pick<SheetSetting, 'group' | 'datum' | 'tool' | 'tolerance'> {
  const { backTo, part, tool } = value;
  if (!backTo) return NO_SETTING;
  return {
    group: backTo.group ?? GROUP_OF[part],
    datum: datumText(backTo, context),
    tool,
    tolerance: toleranceText(value, context.shop),
  };
}

const datumText = ({ datum }: BackTo, context: Pick<TargetContext, 'kit' | 'shop'>) =>
  typeof datum === 'string' ? datum : datum(context);

/** A reading as the sheet shows it: of a module its letter too, of a weighing its turns. */
function sheetText(reading: Reading, { bow, shop }: JobSnapshot): string {
  const text = readingText(reading, shop.units);
  const { key, si, si2 } = reading;
  if (bow && si !== null && (key === 'moduleTop' || key === 'moduleBottom')) {
    const label = moduleLabel(bow, si, key === 'moduleTop' ? 'top' : 'bottom');
    return label === null ? text : `${label} = ${text}`;
  }
  return key === 'peakWeight' && si2 !== null
    ? `${text} at ${writeValue('limbTurnsUpper', si2, shop.units)}`
    : text;
}

/** The newest reading of every value there is, in the registry's order; the shop's own ticks after them. */
export function settingsPart(snapshot: JobSnapshot, { context, plan }: JobDerived): SheetSetting[] {
  const { units } = snapshot.shop;
  const stale = new Map(plan.stale.map((entry) => [entry.key, entry]));
  const own = [...context.history.keys()].filter(isOwnKey).map((key) => setupValue(key));
  return [...REGISTRY, ...own].flatMap((value) => {
    const { key, name, kind } = value;
    const { reading, target, standing, stale: old } = valueState(key, context, stale);
    if (!reading) return [];
    return [
      {
        key,
        name,
        text: sheetText(reading, snapshot),
        entered: reading.entered,
        si: reading.si,
        si2: reading.si2,
        wanted: target && kind !== 'check' ? targetText(key, target, units) : null,
        reason: target?.reason ?? null,
        standing: standing ?? ('noTarget' as const),
        stale: old?.sentence ?? null,
        who: reading.who,
        at: reading.at,
        ...(isOfNoBar(key, context.history) ? NO_SETTING : backToPart(value, context)),
      },
    ];
  });
}

/** What a value is called on the sheet, whatever program wrote it. */
export const isKnownKey = (key: string): key is SetupKey =>
  REGISTRY.some((value) => value.key === key);
