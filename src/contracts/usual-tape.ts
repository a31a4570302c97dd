import type { TapeQuery } from './tape';

/** A tape nobody has asked anything special of. */
export const USUAL_TAPE: TapeQuery = {
  format: 'pdf',
  paper: 'A4',
  unit: 'm',
  from: 10,
  to: 60,
  numbersEvery: 5,
  side: 'left',
  lineMm: 0.25,
  widthMm: 12,
  ratio: 1,
  neighbours: 0,
  stepMps: 0.6,
  temperatureC: 15,
  heightM: 0,
};
