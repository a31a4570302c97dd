import { CAM_SYSTEMS, type BowCondition, type CamSystem } from '../bow';
import { setupValue } from '../setup';
import { TRADE_UNITS, type ShopUnits } from '../units';
import { backToPart, isKnownKey } from './settings-part';
import { SHEET_FORMAT_VERSION, type SheetDocument, type SheetSetting } from './sheet-document';

type Bow = NonNullable<SheetDocument['bow']>;
type Marks = NonNullable<SheetDocument['marks']>;

/** The sheet as version 1 wrote it. */
export interface FirstSheetDocument extends Omit<
  SheetDocument,
  | 'formatVersion'
  | 'shop'
  | 'units'
  | 'since'
  | 'bow'
  | 'fit'
  | 'settings'
  | 'fastening'
  | 'arrow'
  | 'marks'
  | 'record'
  | 'extras'
  | 'signature'
  | 'visit'
  | 'papers'
  | 'aim'
  | 'photos'
  | 'care'
  | 'practice'
  | 'growth'
> {
  readonly formatVersion: 1;
  readonly shop: { readonly name: string; readonly address: string };
  readonly bow:
    | (Omit<
        Bow,
        | 'camCode'
        | 'minPeakN'
        | 'maxPeakN'
        | 'stringLengthMm'
        | 'cableLengthsMm'
        | 'condition'
        | 'serial'
      > & { readonly condition?: BowCondition; readonly serial?: string | null })
    | null;
  readonly fit: Omit<SheetDocument['fit'], 'notes'> & { readonly notes?: readonly string[] };
  readonly settings: readonly Omit<SheetSetting, 'group' | 'datum' | 'tool' | 'tolerance'>[];
  readonly marks:
    | (Pick<Marks, 'furthestClearM' | 'basis'> & {
        readonly rows: readonly Pick<
          Marks['rows'][number],
          'distanceM' | 'distanceText' | 'pinAboveArrowMm'
        >[];
      })
    | null;
}

/** Cam system by its words; version 1 kept nothing else. */
const camCodeOf = (words: string): CamSystem =>
  (Object.keys(CAM_SYSTEMS) as CamSystem[]).find((code) => CAM_SYSTEMS[code] === words) ?? 'twoCam';

/** Units by how its texts end: version 1 did not say them. */
function unitsOf({ fit, settings, marks }: FirstSheetDocument): ShopUnits {
  const texts = [fit.drawLengthText, fit.startText, ...settings.map(({ text }) => text)];
  const ends = (unit: string) => texts.some((text) => text?.endsWith(` ${unit}`));
  return {
    ...TRADE_UNITS,
    ...(ends('in') ? {} : { length: 'mm' as const }),
    ...(ends('lb') || !ends('N') ? {} : { force: 'N' as const }),
    ...(ends('gr') || !ends('g') ? {} : { mass: 'g' as const }),
    ...(ends('m/s') ? { speed: 'm/s' as const } : {}),
    ...(marks?.rows.every(({ distanceText }) => distanceText.endsWith(' m'))
      ? { distance: 'm' as const }
      : {}),
  };
}

/**
 * A sheet of version 1 as one of today: what it did not keep is null or empty, marks are counted from its
 * first row as it was printed.
 */
export function fromFirstSheet(old: FirstSheetDocument): SheetDocument {
  const units = unitsOf(old);
  const first = old.marks?.rows[0];
  return {
    ...old,
    formatVersion: SHEET_FORMAT_VERSION,
    shop: { ...old.shop, phone: '' },
    units,
    since: null,
    bow: old.bow && {
      ...old.bow,
      camCode: camCodeOf(old.bow.camSystem),
      minPeakN: null,
      maxPeakN: null,
      stringLengthMm: null,
      cableLengthsMm: [],
      condition: old.bow.condition ?? 'new',
      serial: old.bow.serial ?? serialIn(old),
    },
    fit: { ...old.fit, notes: old.fit.notes ?? [] },
    settings: old.settings.map((setting) => ({
      ...setting,
      ...(isKnownKey(setting.key)
        ? backToPart(setupValue(setting.key), { kit: {}, shop: units })
        : { group: null, datum: null, tool: null, tolerance: null }),
    })),
    fastening: [],
    arrow: null,
    marks:
      old.marks && first
        ? {
            ...old.marks,
            firstM: first.distanceM,
            firstText: first.distanceText,
            firstConfirmed: null,
            pins: null,
            flight: null,
            rows: old.marks.rows.map((row) => ({
              ...row,
              belowFirstMm: first.pinAboveArrowMm - row.pinAboveArrowMm,
              sigmaMm: null,
              confirmed: false,
            })),
          }
        : null,
    extras: [],
    signature: null,
    visit: null,
    record: [],
    papers: [],
    aim: [],
    photos: [],
    care: [],
    practice: [],
    growth: null,
  };
}

const serialIn = ({ settings }: FirstSheetDocument) =>
  settings.find(({ key }) => key === 'serialNumber')?.text ?? null;
