import { careBlock, growthBlock, toldBlock } from './archer-blocks';
import { listBlock, type SheetBlock } from './blocks';
import { SHEET_LABELS as l } from './labels';
import {
  arrowBlock,
  factLines,
  groupsOf,
  keysBlock,
  marksBlock,
  sinceLine,
  type SheetLines,
} from './page-one';
import {
  basisBlock,
  fitBlock,
  papersBlock,
  partsBlock,
  photosBlock,
  recordBlock,
  signedBlock,
  sinceBlock,
  visitBlock,
  type PageWishes,
} from './record-blocks';
import type { SheetDocument } from './sheet-document';

export interface SheetPages {
  readonly one: {
    readonly facts: readonly string[];
    readonly groups: readonly SheetLines[];
    readonly arrow: SheetBlock | null;
    readonly marks: SheetBlock | null;
    readonly keys: SheetBlock | null;
    /** "3 values are not as on revision 1." */
    readonly since: string | null;
  };
  /** The record. */
  readonly two: readonly SheetBlock[];
  /** For the archer. */
  readonly three: readonly SheetBlock[];
}

/** Everything the sheet says, by pages: the web page and the PDF draw this and nothing else. */
export function sheetPages(sheet: SheetDocument, wishes: PageWishes): SheetPages {
  return {
    one: {
      facts: factLines(sheet),
      groups: groupsOf(sheet),
      arrow: sheet.arrow && arrowBlock(sheet.arrow, sheet.units),
      marks: sheet.marks && marksBlock(sheet.marks, sheet.units),
      keys: keysBlock(sheet),
      since: sinceLine(sheet),
    },
    two: [
      sinceBlock(sheet),
      visitBlock(sheet),
      fitBlock(sheet),
      signedBlock(sheet),
      papersBlock(sheet),
      photosBlock(sheet),
      listBlock('balance', l.balance, sheet.balance?.text ?? []),
      listBlock('aim', l.aim, sheet.aim),
      basisBlock(sheet),
      partsBlock(sheet, wishes),
      recordBlock(sheet, wishes),
    ].filter((block) => block !== null),
    three: [
      toldBlock(sheet),
      careBlock(sheet),
      listBlock('practice', l.practice, sheet.practice),
      growthBlock(sheet),
    ].filter((block) => block !== null),
  };
}
