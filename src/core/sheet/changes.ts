import { setupValue } from '../setup';
import type { SheetChange, SheetDocument, SheetSetting } from './sheet-document';
import { isKnownKey } from './settings-part';
import { bowLine } from './sheet-document';

/** Marks nearer than this are the same pin, mm. */
const SAME_MARK_MM = 0.1;

type Side = Omit<SheetDocument, 'since'>;

/**
 * What is not as on the earlier of two sheets, in the order of the sheet: settings, ticks that are gone or
 * new, parts, bow, marks. A value measured again within its tolerance is told as such.
 *
 * @returns nothing where both say the same.
 */
export function sheetChanges(before: Side, after: Side): SheetChange[] {
  return [
    ...bowChange(before, after),
    ...settingChanges(before, after),
    ...partChanges(before, after),
    ...markChange(before, after),
  ];
}

/** Both lists by key: the later order, then what is only in the earlier one. */
function pairs<T>(before: readonly T[], after: readonly T[], key: (one: T) => string) {
  const [old, now] = [before, after].map((list) => new Map(list.map((one) => [key(one), one])));
  const keys = [...now!.keys(), ...[...old!.keys()].filter((one) => !now!.has(one))];
  return keys.map((one) => ({ key: one, old: old!.get(one) ?? null, now: now!.get(one) ?? null }));
}

function settingChanges(before: Side, after: Side): SheetChange[] {
  return pairs(before.settings, after.settings, ({ key }) => key).flatMap(({ key, old, now }) =>
    old && now && isSame(old, now)
      ? []
      : [
          {
            key,
            name: (now ?? old)!.name,
            from: old?.text ?? null,
            to: now?.text ?? null,
            within: old !== null && now !== null && isWithin(old, now),
          },
        ],
  );
}

/** The same number written in other units, or with its letter, is the same setting. */
const isSame = (old: SheetSetting, now: SheetSetting) =>
  old.si === now.si && old.si2 === now.si2 && (now.si !== null || old.text === now.text);

function isWithin(old: SheetSetting, now: SheetSetting): boolean {
  if (!isKnownKey(now.key) || old.si === null || now.si === null) return false;
  return Math.abs(old.si - now.si) <= setupValue(now.key).tolerance + 1e-9;
}

function partChanges(before: Side, after: Side): SheetChange[] {
  return pairs(before.parts, after.parts, ({ slot }) => slot).flatMap(({ key, old, now }) =>
    old?.label === now?.label
      ? []
      : [
          {
            key: `part:${key}`,
            name: (now ?? old)!.name,
            from: old?.label ?? null,
            to: now?.label ?? null,
            within: false,
          },
        ],
  );
}

function bowChange(before: Side, after: Side): SheetChange[] {
  const [from, to] = [before, after].map(({ bow }) => (bow ? bowLine(bow) : null));
  return from === to ? [] : [{ key: 'bow', name: 'Bow', from: from!, to: to!, within: false }];
}

/** The mark that moved most stands for all. */
function markChange(before: Side, after: Side): SheetChange[] {
  const [old, now] = [before.marks, after.marks];
  if (!old && !now) return [];
  const name = 'Sight marks';
  const said = (marks: NonNullable<SheetDocument['marks']>) => `counted from ${marks.firstText}`;
  if (!old || !now || old.firstM !== now.firstM)
    return [{ key: 'marks', name, from: old && said(old), to: now && said(now), within: false }];
  const moved = now.rows
    .flatMap((row) => {
      const then = old.rows.find(({ distanceM }) => Math.abs(distanceM - row.distanceM) < 0.01);
      return then ? [{ row, then, by: row.belowFirstMm - then.belowFirstMm }] : [];
    })
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by))[0];
  if (!moved || Math.abs(moved.by) < SAME_MARK_MM) return [];
  const text = (mm: number) => `${moved.row.distanceText}: ${mm.toFixed(1)} mm`;
  return [
    {
      key: 'marks',
      name,
      from: text(moved.then.belowFirstMm),
      to: text(moved.row.belowFirstMm),
      within: false,
    },
  ];
}
