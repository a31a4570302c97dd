import { metre, mm, type Metre, type Mm } from '../units';

/** Shop rules of the sight’s geometry, each said here and nowhere else. */

/** The distance pins and travel are counted from before one is confirmed. */
export const USUAL_FIRST_M: Metre = metre(18);
/** Peep centre above the arrow at full draw before it was measured. */
export const USUAL_PEEP_HEIGHT_MM: Mm = mm(115);
/** Peep to pin before it was measured. */
export const USUAL_PEEP_TO_PIN_MM: Mm = mm(750);
/** Air kept between vane and housing (docs/models.md section 6). */
export const HOUSING_CLEARANCE_MM: Mm = mm(3);
