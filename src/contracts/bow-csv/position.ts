import { Type } from '@sinclair/typebox';
import type { ModulePosition } from '@/core/bow';
import { MM_PER_INCH, mm, shopUnitFor, siPerUnit, type ShopUnits } from '@/core/units';
import { bad, good, type CellKind } from '../csv';

const MODULE = /^(?:([^=/]{1,6})\/)?([^=/]{1,6})=(\d+(?:[.,]\d+)?)$/;
/** Where nothing but the length is printed, it is its own label: "28 29 30". */
const LENGTH = /^(\d{2,3}(?:[.,]\d{1,2})?)$/;

/** What is printed on a module, and its length as written; null where it is neither. */
function printed(
  cell: string,
): { readonly label: string; readonly topLabel?: string; readonly length: number } | null {
  const alone = LENGTH.exec(cell)?.[1];
  const [, top, label, length] = alone
    ? [cell, undefined, alone, alone]
    : (MODULE.exec(cell) ?? []);
  return label === undefined || length === undefined
    ? null
    : { label, ...(top ? { topLabel: top } : {}), length: Number(length.replace(',', '.')) };
}

/** As `position`, with the length in a unit of the shop's screens. */
const positionIn = (shop: ShopUnits): CellKind<ModulePosition> & { readonly unit: string } => {
  const unit = shopUnitFor('length', shop);
  const per = siPerUnit(unit, 'length')!;
  const plain = (value: number) => Number((value / per).toFixed(unit === 'mm' ? 1 : 4));
  const [least, most] = [14, 35].map((inches) => plain(inches * MM_PER_INCH)) as [number, number];
  const example = `E=${plain(27 * MM_PER_INCH)}`;
  return {
    unit,
    says: `label=${unit}, or top label/bottom label=${unit}, or the length alone`,
    schema: position.schema,
    read: (cell) => {
      const module = printed(cell);
      if (!module) return bad(`“${cell}” must be a label and a length, for example ${example}`);
      const { length, ...labels } = module;
      if (length < least || length > most)
        return bad(`“${cell}”: the length must be ${least} to ${most} ${unit}`);
      return good({ ...labels, drawLengthMm: mm(length * per) });
    },
    write: ({ label, topLabel, drawLengthMm }) =>
      `${topLabel ? `${topLabel}/` : ''}${label}=${plain(drawLengthMm)}`,
  };
};

/** "E=27", or "5/E=27" where the top cam's module is marked otherwise than the bottom one's. */
export const position: CellKind<ModulePosition> = {
  says: 'label=inches, or top label/bottom label=inches, or the length alone',
  schema: Type.Object({
    label: Type.String(),
    topLabel: Type.Optional(Type.String()),
    drawLengthMm: Type.Number(),
  }),
  read: (cell) => {
    const module = printed(cell);
    if (!module) return bad(`“${cell}” must be a label and a length, for example E=27 or 5/E=27`);
    const { length, ...labels } = module;
    if (length < 14 || length > 35) return bad(`“${cell}”: the length must be 14 to 35 in`);
    return good({ ...labels, drawLengthMm: mm(length * MM_PER_INCH) });
  },
  write: ({ label, topLabel, drawLengthMm }) =>
    `${topLabel ? `${topLabel}/` : ''}${label}=${Number((drawLengthMm / MM_PER_INCH).toFixed(4))}`,
  inUnits: positionIn,
};
