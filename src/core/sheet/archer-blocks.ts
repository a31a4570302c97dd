import { spokenDay, write } from '../units';
import { block, cell, type SheetBlock } from './blocks';
import { SHEET_LABELS as l } from './labels';
import type { SheetDocument } from './sheet-document';

/** What the archer is asked back for, and when. */
export const comeBackLine = ({ visit, comeBackDay }: SheetDocument) =>
  (visit === null ? l.comeBack : l.nextCheck)(spokenDay(comeBackDay));

export const toldBlock = ({ cautions }: SheetDocument) =>
  block(
    'told',
    l.told,
    [0.08, 0.92],
    cautions.map((text) => [cell(l.ticked, 'strong'), cell(text)]),
  );

export const careBlock = ({ care }: SheetDocument) =>
  block(
    'care',
    l.care,
    [0.2, 0.8],
    care.map(({ day, text }) => [cell(spokenDay(day), 'strong'), cell(text)]),
  );

export function growthBlock({ growth, units }: SheetDocument): SheetBlock | null {
  if (!growth) return null;
  return block(
    'growth',
    l.growth,
    [0.2, 0.8],
    growth.steps.map(({ day, peakN }) => [
      cell(spokenDay(day), 'strong'),
      cell(`${l.notBefore} ${write(peakN, 'force', units, { decimals: 0 })}`),
    ]),
    { note: growth.test },
  );
}
