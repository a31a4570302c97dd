import { Type } from '@sinclair/typebox';
import type { PaperEvent } from '@/core/tuning';
import { Nullable, Num, OneOf, Positive, strict } from './compute-parts';

/** Bodies of the lane’s calculations: marks, fit, group, paper. */
const SightGeometry = {
  arrowG: Positive(200),
  shaftOuterMm: Num(2, 30),
  dragCoefficient: Type.Optional(Num(0, 20)),
  airDensityKgM3: Type.Optional(Num(0, 2)),
  air: Type.Optional(
    Type.Object(
      { temperatureC: Num(-40, 60), pressureHpa: Num(500, 1100), humidity: Num(0, 1) },
      strict,
    ),
  ),
  peepHeightMm: Num(0, 500),
  peepToPinMm: Num(100, 2000),
  slopeDeg: Type.Optional(Num(-60, 60)),
};

export const SightMarksRequest = Type.Object(
  {
    ...SightGeometry,
    speedMps: Num(9, 200),
    distancesM: Type.Array(Num(1, 300), { minItems: 1, maxItems: 1000 }),
    clearance: Type.Optional(
      Type.Object({ housingRadiusMm: Num(0, 200), vaneHeightMm: Num(0, 100) }, strict),
    ),
  },
  strict,
);

export const SightMarksResponse = Type.Object({
  marks: Type.Array(
    Type.Object({
      distanceM: Type.Number(),
      launchDeg: Type.Number(),
      pinAboveArrowMm: Type.Number(),
      timeOfFlightS: Type.Number(),
      impactSpeedMps: Type.Number(),
      impactEnergyJ: Type.Number(),
    }),
  ),
  furthestClearM: Type.Optional(Nullable(Type.Number())),
});

export const SightFitRequest = Type.Object(
  {
    ...SightGeometry,
    clearance: Type.Optional(
      Type.Object({ housingRadiusMm: Num(0, 200), vaneHeightMm: Num(0, 100) }, strict),
    ),
    shots: Type.Array(Type.Object({ distanceM: Num(1, 300), dropMm: Num(-200, 500) }, strict), {
      minItems: 2,
      maxItems: 60,
    }),
    fitDrag: Type.Optional(Type.Boolean()),
  },
  strict,
);

export const SightFitResponse = Type.Object({
  speedMps: Type.Number(),
  dragCoefficient: Type.Number(),
  sigmaSpeedMps: Nullable(Type.Number()),
  sigmaDrag: Nullable(Type.Number()),
  residualsMm: Type.Array(Type.Number()),
  sigmaMarkMm: Nullable(Type.Number()),
  odd: Nullable(Type.Integer()),
  iterations: Type.Integer(),
});

const AdjustmentName = OneOf('restSideways', 'restHeight', 'nockHeight', 'camShim', 'cableGuard');

export const PaperTuneRequest = Type.Object(
  {
    hand: OneOf('right', 'left'),
    school: OneOf('rest', 'cams', 'guard'),
    history: Type.Array(
      Type.Unsafe<PaperEvent>({
        type: 'object',
        discriminator: { propertyName: 'kind' },
        oneOf: [
          Type.Object(
            { kind: Type.Literal('shot'), rightMm: Num(-300, 300), upMm: Num(-300, 300) },
            strict,
          ),
          Type.Object(
            { kind: Type.Literal('move'), adjustment: AdjustmentName, amount: Num(-20, 20) },
            strict,
          ),
        ],
      }),
      { maxItems: 200 },
    ),
  },
  strict,
);

const Tear = Type.Object({ rightMm: Type.Number(), upMm: Type.Number() });
const PaperAdvice = Type.Object({
  adjustment: AdjustmentName,
  amount: Type.Number(),
  expected: Tear,
  sigmaMm: Type.Number(),
});

export const PaperTuneResponse = Type.Object({
  state: OneOf('tuned', 'adjust', 'shootMore', 'checkCauses'),
  advice: Type.Optional(PaperAdvice),
  runnerUp: Type.Optional(PaperAdvice),
  causes: Type.Optional(Type.Array(OneOf('clearance', 'grip', 'timing', 'spine', 'camLean'))),
  why: OneOf('noShot', 'unsure', 'goodEnough', 'tear', 'unanswered', 'wild', 'spent', 'tooLarge'),
  chanceGood: Type.Number(),
  /** Natural logarithm of how many times likelier it is that no move changes anything. */
  nothingAnswersLog: Type.Number(),
  scatterMm: Type.Number(),
  tear: Tear,
});

export const GroupRequest = Type.Object(
  {
    hits: Type.Array(Type.Object({ rightMm: Num(-3000, 3000), upMm: Num(-3000, 3000) }, strict), {
      minItems: 1,
      maxItems: 200,
    }),
    distanceM: Num(1, 300),
    peepToPinMm: Num(100, 2000),
  },
  strict,
);
const Vector = Type.Object({ rightMm: Type.Number(), upMm: Type.Number() });
export const GroupResponse = Type.Object({
  centre: Vector,
  pValue: Nullable(Type.Number()),
  adjust: Type.Boolean(),
  pinMove: Type.Optional(Vector),
  hitsNeeded: Type.Optional(Type.Integer()),
  rmsMm: Type.Number(),
  widestMm: Type.Number(),
  confidence: Nullable(
    Type.Object({
      centre: Vector,
      longMm: Type.Number(),
      shortMm: Type.Number(),
      tiltDeg: Type.Number(),
    }),
  ),
});
