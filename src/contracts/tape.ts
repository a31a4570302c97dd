import { Type, type Static } from '@sinclair/typebox';

const OneOf = <T extends string>(...names: T[]) => Type.Unsafe<T>({ type: 'string', enum: names });

/** What is asked of a tape's print; numbers in the tape's own unit, SI where none is named. */
export const TapeQuery = Type.Object(
  {
    format: OneOf('pdf', 'svg'),
    paper: OneOf('A4', 'LETTER'),
    unit: OneOf('m', 'yd'),
    from: Type.Integer({ minimum: 5, maximum: 200 }),
    to: Type.Integer({ minimum: 5, maximum: 200 }),
    numbersEvery: Type.Integer({ enum: [5, 10] }),
    side: OneOf('left', 'right'),
    lineMm: Type.Number({ minimum: 0.1, maximum: 0.6 }),
    widthMm: Type.Number({ minimum: 6, maximum: 30 }),
    /** Travel of the sight's pointer for each mm of the pin. */
    ratio: Type.Number({ minimum: 0.2, maximum: 5 }),
    /** Neighbouring speeds on each side, and how far apart, m/s. */
    neighbours: Type.Integer({ minimum: 0, maximum: 3 }),
    stepMps: Type.Number({ minimum: 0.1, maximum: 5 }),
    temperatureC: Type.Number({ minimum: -40, maximum: 60 }),
    heightM: Type.Number({ minimum: -400, maximum: 5000 }),
  },
  { additionalProperties: false },
);
export type TapeQuery = Static<typeof TapeQuery>;
