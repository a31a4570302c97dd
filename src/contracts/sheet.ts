import {
  fromFirstSheet,
  SHEET_FORMAT,
  SHEET_FORMAT_VERSION,
  type FirstSheetDocument,
  type SheetDocument,
} from '@/core/sheet';
import { checker } from './ajv';
import { FirstSheetSchema } from './first-sheet';
import { SheetSchema } from './sheet-schema';

const check = checker(SheetSchema);

/** A document that is not a sheet by the published schema must never be kept. */
export function assertSheet(document: SheetDocument): SheetDocument {
  const checked = check(document);
  if (checked.ok) return document;
  const first = checked.errors[0]!;
  throw new Error(`The build sheet breaks its own schema: ${first.pointer} ${first.detail}`);
}

const checkFirst = checker(FirstSheetSchema);

/** A sheet of this or an earlier version, or why what was given is none. */
type SheetRead =
  | { readonly ok: true; readonly sheet: SheetDocument }
  | { readonly ok: false; readonly reason: string };

/** What was kept or handed in as a sheet: of version 1 it is brought up, anything else is refused with why. */
export function readSheet(value: unknown): SheetRead {
  const { format, formatVersion } = (value ?? {}) as { format?: unknown; formatVersion?: unknown };
  if (format !== SHEET_FORMAT)
    return refusedSheet('This is no build sheet of this program: its first line would say so.');
  if (typeof formatVersion !== 'number' || formatVersion < 1)
    return refusedSheet('The sheet does not say of which version it is.');
  if (formatVersion > SHEET_FORMAT_VERSION)
    return refusedSheet(
      `The sheet is of version ${formatVersion}, this program reads up to ${SHEET_FORMAT_VERSION}: bring the program up to date first.`,
    );
  const checked = formatVersion === 1 ? checkFirst(value) : check(value);
  if (!checked.ok) {
    const { pointer, detail } = checked.errors[0]!;
    return refusedSheet(`The sheet is damaged: ${pointer} ${detail}.`);
  }
  return {
    ok: true,
    sheet:
      formatVersion === 1 ? fromFirstSheet(value as FirstSheetDocument) : (value as SheetDocument),
  };
}

const refusedSheet = (reason: string): SheetRead => ({ ok: false, reason });
