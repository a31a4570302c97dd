import { oneOf } from '../csv';
import { attr, mm, mmOrNot, type AttrColumn } from './attr';

/** Attributes of what arrows are built from. */
export const ARROW_PARTS_COLUMNS: Record<
  'shaft' | 'nock' | 'vane' | 'insert' | 'point',
  readonly AttrColumn[]
> = {
  shaft: [
    attr('shaft', 'outerMm', 'outer_mm', 'Outside, mm', mm(3, 12), 'Outer diameter', '6.9'),
    attr('shaft', 'innerMm', 'inner_mm', 'Inside, mm', mm(2, 11), 'Inner diameter', '5.2'),
    attr(
      'shaft',
      'gPerMm',
      'g_per_mm',
      'Grams a millimetre',
      mm(0.003, 0.1, 5),
      'Of the bare shaft',
      '0.0209',
    ),
    attr(
      'shaft',
      'stockLengthMm',
      'stock_length_mm',
      'As it comes, mm',
      mm(400, 900),
      'Uncut',
      '813',
    ),
    attr(
      'shaft',
      'staticSpineIn',
      'static_spine_in',
      'Spine, in',
      mm(0.15, 2.5, 3),
      'Deflection, ASTM F2031',
      '0.5',
    ),
  ],
  nock: [
    attr('nock', 'throatMm', 'throat_mm', 'Throat, mm', mm(2, 25), 'Groove to shaft end', '8'),
    attr('nock', 'fitsInnerMm', 'fits_inner_mm', 'Fits inside, mm', mm(2, 11), 'Of a shaft', '5.2'),
  ],
  vane: [
    attr('vane', 'lengthMm', 'length_mm', 'Length, mm', mm(15, 150), 'Along the shaft', '51'),
    attr('vane', 'heightMm', 'height_mm', 'Height, mm', mm(2, 30), 'From the skin', '11'),
  ],
  insert: [
    attr('insert', 'lengthMm', 'length_mm', 'Length, mm', mm(3, 120), 'Inside the shaft', '22'),
    attr(
      'insert',
      'fitsInnerMm',
      'fits_inner_mm',
      'Fits inside, mm',
      mm(2, 11),
      'Of a shaft',
      '5.2',
    ),
  ],
  point: [
    attr(
      'point',
      'centreMm',
      'centre_mm',
      'Centre, mm',
      mm(-30, 60),
      'Own centre of mass past the shaft’s front end',
      '11',
    ),
    attr(
      'point',
      'head',
      'head',
      'Head',
      oneOf('field', 'fixedBlade', 'mechanical'),
      'What it is',
      'field',
    ),
    attr(
      'point',
      'bladeMm',
      'blade_mm',
      'Fixed blade, mm',
      mmOrNot(5, 40),
      'Middle of the shaft to the blade’s edge; empty for other points',
      '14',
      false,
    ),
  ],
};
