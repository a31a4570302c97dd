import { Type } from '@sinclair/typebox';
import type { ModulePosition } from '@/core/bow';
import { MM_PER_INCH, mm, shopUnitFor, siPerUnit, type ShopUnits } from '@/core/units';
import { bad, good, type CellKind } from '../csv';

const MODULE = /^(?:([^=/]{1,6})\/)?([^=/]{1,6})=(\d+(?:[.,]\d+)?)$/;

/** As `position`, with the length in a unit of the shop's screens. */
const positionIn = (shop: ShopUnits): CellKind<ModulePosition> & { readonly unit: string } => {
  const unit = shopUnitFor('length', shop);
  const per = siPerUnit(unit, 'length')!;
  const plain = (value: number) => Number((value / per).toFixed(unit === 'mm' ? 1 : 4));
  const [least, most] = [14, 35].map((inches) => plain(inches * MM_PER_INCH)) as [number, number];
  const example = `E=${plain(27 * MM_PER_INCH)}`;
  return {
    unit,
    says: `label=${unit}, or top label/bottom label=${unit}`,
    schema: position.schema,
    read: (cell) => {
      const match = MODULE.exec(cell);
      if (!match) return bad(`“${cell}” must be a label and a length, for example ${example}`);
      const length = Number(match[3]!.replace(',', '.'));
      if (length < least || length > most)
        return bad(`“${cell}”: the length must be ${least} to ${most} ${unit}`);
      return good({
        label: match[2]!,
        ...(match[1] ? { topLabel: match[1] } : {}),
        drawLengthMm: mm(length * per),
      });
    },
    write: ({ label, topLabel, drawLengthMm }) =>
      `${topLabel ? `${topLabel}/` : ''}${label}=${plain(drawLengthMm)}`,
  };
};

/** "E=27", or "5/E=27" where the top cam's module is marked otherwise than the bottom one's. */
export const position: CellKind<ModulePosition> = {
  says: 'label=inches, or top label/bottom label=inches',
  schema: Type.Object({
    label: Type.String(),
    topLabel: Type.Optional(Type.String()),
    drawLengthMm: Type.Number(),
  }),
  read: (cell) => {
    const match = MODULE.exec(cell);
    if (!match) return bad(`“${cell}” must be a label and a length, for example E=27 or 5/E=27`);
    const inches = Number(match[3]!.replace(',', '.'));
    if (inches < 14 || inches > 35) return bad(`“${cell}”: the length must be 14 to 35 in`);
    return good({
      label: match[2]!,
      ...(match[1] ? { topLabel: match[1] } : {}),
      drawLengthMm: mm(inches * MM_PER_INCH),
    });
  },
  write: ({ label, topLabel, drawLengthMm }) =>
    `${topLabel ? `${topLabel}/` : ''}${label}=${Number((drawLengthMm / MM_PER_INCH).toFixed(4))}`,
  inUnits: positionIn,
};
