import type { SheetItem } from '../../flight';
import type { SheetDocument } from '../sheet-document';
import { back, type CodeMatrix } from './card-back';
import { front } from './card-front';
import { GROUNDS, type CardSize } from './card-ground';

export interface CardFace {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly items: readonly SheetItem[];
}

/**
 * Both sides of a card, true to size: marks or pin gaps with slope and weather, and the numbers to get back
 * to with the code. Pure: the same sheet makes the same card.
 *
 * @param code squares of the sheet's code; null where it has none.
 */
export function cardFaces(
  sheet: SheetDocument,
  size: CardSize,
  code: CodeMatrix | null,
): { readonly front: CardFace; readonly back: CardFace } {
  const ground = { ...GROUNDS[size], units: sheet.units };
  const { widthMm, heightMm } = ground;
  return {
    front: { widthMm, heightMm, items: front(sheet, ground) },
    back: { widthMm, heightMm, items: back(sheet, ground, code) },
  };
}
