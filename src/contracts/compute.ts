import { Type, type Static, type TSchema } from '@sinclair/typebox';

/** Bodies of the compute interface; every field is named with its unit. */
const strict = { additionalProperties: false } as const;
const Num = (minimum: number, maximum: number) => Type.Number({ minimum, maximum });
const Positive = (maximum: number) => Type.Number({ exclusiveMinimum: 0, maximum });
const OneOf = <T extends string>(...names: T[]) => Type.Unsafe<T>({ type: 'string', enum: names });
const Nullable = (schema: TSchema) => Type.Union([schema, Type.Null()]);

const Method = OneOf('armSpan', 'wallToMouth', 'markedArrow', 'fittingBow');

export const DrawLengthRequest = Type.Object(
  {
    readings: Type.Array(Type.Object({ method: Method, valueMm: Num(100, 3000) }, strict), {
      minItems: 1,
      maxItems: 100,
    }),
    loopMm: Type.Optional(Num(0, 60)),
    loopCounts: Type.Optional(Type.Boolean()),
    moduleStepsMm: Type.Optional(Type.Array(Num(300, 1000), { maxItems: 100 })),
  },
  strict,
);

export const DrawLengthResponse = Type.Object({
  estimates: Type.Array(
    Type.Object({
      method: Method,
      drawLengthMm: Type.Number(),
      sigmaMm: Type.Number(),
      readings: Type.Integer(),
    }),
  ),
  drawLengthMm: Type.Number(),
  sigmaMm: Type.Number(),
  chiSquare: Type.Number(),
  pValue: Nullable(Type.Number()),
  outlier: Nullable(Method),
  module: Type.Optional(
    Type.Object({ stepMm: Type.Number(), remainderMm: Type.Number(), twists: Type.Number() }),
  ),
});

export const LimbBoltsRequest = Type.Object(
  {
    maxPeakN: Positive(1000),
    minPeakN: Positive(1000),
    maxTurns: Positive(30),
    readings: Type.Array(Type.Object({ turns: Num(0, 30), peakN: Positive(1000) }, strict), {
      maxItems: 1000,
    }),
    targetN: Positive(1000),
  },
  strict,
);

export const LimbBoltsResponse = Type.Object({
  turns: Type.Number(),
  predictedN: Type.Number(),
  sigmaN: Type.Number(),
  peakAtZeroN: Type.Number(),
  perTurnN: Type.Number(),
  curveN: Type.Number(),
  reachesTarget: Type.Boolean(),
  plan: Type.Array(Type.Object({ limb: OneOf('upper', 'lower'), turns: Type.Number() })),
});

export const LaunchSpeedRequest = Type.Object(
  {
    bow: Type.Object(
      {
        ratedSpeedMps: Positive(200),
        ratedDrawLengthMm: Num(300, 1000),
        ratedPeakN: Positive(1000),
        ratedArrowG: Positive(200),
        braceHeightMm: Num(50, 500),
        letOff: Type.Number({ minimum: 0, exclusiveMaximum: 1 }),
        character: OneOf('smooth', 'balanced', 'fast'),
        virtualMassG: Type.Optional(Num(0, 50)),
        halfStringMm: Type.Optional(Num(100, 1500)),
      },
      strict,
    ),
    setting: Type.Object({ drawLengthMm: Num(100, 1000), peakN: Positive(1000) }, strict),
    arrowG: Positive(200),
    stringItems: Type.Optional(
      Type.Array(Type.Object({ massG: Num(0, 100), fromNockMm: Num(-1500, 1500) }, strict), {
        maxItems: 50,
      }),
    ),
  },
  strict,
);

export const LaunchSpeedResponse = Type.Object({
  speedMps: Type.Number(),
  efficiency: Type.Number(),
  storedEnergyJ: Type.Number(),
  arrowEnergyJ: Type.Number(),
  holdingN: Type.Number(),
  warnings: Type.Array(Type.String()),
});

export const SightMarksRequest = Type.Object(
  {
    speedMps: Num(9, 200),
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
    distancesM: Type.Array(Num(1, 300), { minItems: 1, maxItems: 1000 }),
    slopeDeg: Type.Optional(Num(-60, 60)),
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
});

export const RouteRequest = Type.Object(
  {
    steps: Type.Array(
      Type.Object(
        {
          id: Type.String({ minLength: 1 }),
          station: Type.String({ minLength: 1 }),
          archer: Type.Boolean(),
          needs: Type.Array(Type.String()),
        },
        strict,
      ),
      { maxItems: 60 },
    ),
    start: Type.Optional(Type.String()),
    changeCost: Type.Record(Type.String(), Num(0, 1e6)),
    archerCallCost: Num(0, 1e6),
  },
  strict,
);
export const RouteResponse = Type.Object({
  order: Type.Array(Type.String()),
  cost: Type.Number(),
  visits: Type.Array(
    Type.Object({
      station: Type.String(),
      archer: Type.Boolean(),
      steps: Type.Array(Type.String()),
    }),
  ),
});

/** RFC 9457. */
export const Problem = Type.Object({
  type: Type.String(),
  title: Type.String(),
  status: Type.Integer(),
  detail: Type.Optional(Type.String()),
  errors: Type.Optional(Type.Array(Type.Object({ pointer: Type.String(), detail: Type.String() }))),
});
export type ProblemBody = Static<typeof Problem>;
