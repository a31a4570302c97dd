import { kindOf, PART_KINDS, type Attr, type Holds, type PartKind } from '@/core/kit';
import {
  oneOf,
  optional,
  plainNumber,
  several,
  text,
  yesElseNo,
  yesNo,
  type CellKind,
} from '../csv';

/** One attribute of a kind of part, as it stands in a file and a form. */
interface AttrColumn {
  readonly attr: string;
  readonly header: string;
  readonly name: string;
  readonly about: string;
  readonly kind: CellKind<unknown>;
  readonly required: boolean;
  readonly example: string;
}

/** "minDrawMm" as a file heads it: "min_draw_mm". */
export const headerOf = (name: string) =>
  name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

function cellOf(holds: Holds, mayBeEmpty: boolean): CellKind<unknown> {
  const any = <T>(kind: CellKind<T>) => kind as unknown as CellKind<unknown>;
  const orNone = <T>(kind: CellKind<T>) => (mayBeEmpty ? any(optional(kind)) : any(kind));
  switch (holds.is) {
    case 'number': {
      const { min, max, decimals, whole } = holds;
      return orNone(plainNumber({ min, max }, whole ? { whole } : { decimals }));
    }
    case 'oneOf':
      return orNone(oneOf(...holds.choices));
    case 'several':
      return any(several(oneOf(...holds.choices), holds.most));
    case 'yesNo':
      return any(mayBeEmpty ? yesElseNo : yesNo);
    case 'text':
      return orNone(text(holds.most));
  }
}

function columnOf(attr: string, { kind, name, about, example }: Attr<unknown>): AttrColumn {
  const { holds, mayBeEmpty = false } = kind;
  const cell = cellOf(holds, mayBeEmpty);
  const unit = holds.is === 'number' && holds.unit !== null ? `, ${holds.unit}` : '';
  return {
    attr,
    header: headerOf(attr),
    name: `${name}${unit}`,
    about,
    kind: cell,
    required: !mayBeEmpty,
    example: cell.write(example),
  };
}

/** Every attribute of every kind of part, from its description. */
export const ATTR_COLUMNS = Object.fromEntries(
  PART_KINDS.map(({ id }) => [
    id,
    Object.entries(kindOf(id).attrs).map(([attr, entry]) => columnOf(attr, entry)),
  ]),
) as unknown as Readonly<Record<PartKind, readonly AttrColumn[]>>;
