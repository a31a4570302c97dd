import { Type, type Static } from '@sinclair/typebox';
import { Nullable, Num, OneOf, Pair, Positive, strict } from './compute-parts';

export * from './compute-lane';

/** Bodies of the compute interface; every field is named with its unit. */
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

export const DrawWeightRequest = Type.Object(
  {
    priorMedianN: Positive(600),
    trials: Type.Array(
      Type.Object(
        { peakN: Positive(600), outcome: OneOf('smooth', 'strained', 'failed', 'pain') },
        strict,
      ),
      { maxItems: 100 },
    ),
  },
  strict,
);

export const DrawWeightResponse = Type.Object({
  startN: Type.Number(),
  w50: Type.Object({ medianN: Type.Number(), lowN: Type.Number(), highN: Type.Number() }),
  nextTrialN: Type.Number(),
  nextTrialLimit: OneOf('none', 'stepAboveSmooth', 'belowStrained', 'belowFailed', 'pain'),
});

export const DrawForceRequest = Type.Object(
  {
    points: Type.Array(Type.Object({ drawnMm: Type.Number(), forceN: Type.Number() }, strict), {
      minItems: 1,
      maxItems: 10_000,
    }),
  },
  strict,
);

export const DrawForceResponse = Type.Object({
  peakN: Type.Number(),
  peakAtMm: Type.Number(),
  holdingN: Type.Number(),
  letOff: Type.Number(),
  valleyMm: Type.Number(),
  storedEnergyJ: Type.Number(),
  strokeMm: Type.Number(),
});

const Name = Type.String({ minLength: 1, maxLength: 60 });

export const DrawOffRequest = Type.Object(
  {
    bowIds: Type.Array(Name, { maxItems: 20, uniqueItems: true }),
    speedCounts: Type.Boolean(),
    marks: Type.Array(
      Type.Object(
        {
          aspect: OneOf('grip', 'draw', 'wall', 'quiet', 'hold'),
          first: Name,
          second: Name,
          better: Nullable(Name),
        },
        strict,
      ),
      { maxItems: 1000 },
    ),
    speedMps: Type.Optional(Type.Record(Name, Positive(200))),
  },
  strict,
);

export const DrawOffResponse = Type.Object({
  places: Type.Array(
    Type.Object({
      bowId: Type.String(),
      chanceBest: Type.Number(),
      strength: Type.Number(),
      sigma: Type.Number(),
      liked: Type.Number(),
      of: Type.Integer(),
    }),
  ),
  openPairs: Type.Array(Pair(Type.String())),
  sure: OneOf('clear', 'leaning', 'open'),
});

export const CamTimingRequest = Type.Object(
  {
    camSystem: OneOf('single', 'hybrid', 'camAndAHalf', 'twoCam'),
    gapMm: Num(-60, 60),
    moves: Type.Array(Type.Object({ twists: Num(-30, 30), movedMm: Num(-60, 60) }, strict), {
      maxItems: 100,
    }),
  },
  strict,
);

export const CamTimingResponse = Type.Object({
  leads: OneOf('top', 'bottom', 'neither'),
  cable: OneOf('top', 'bottom'),
  cableName: Type.String(),
  twists: Type.Number(),
  expectedMm: Type.Number(),
  sigmaMm: Type.Number(),
  response: Type.Object({
    perTwistMm: Type.Number(),
    sigmaMm: Type.Number(),
    moves: Type.Integer(),
  }),
});

export const ArrowRequest = Type.Object(
  {
    shaftLengthMm: Num(100, 1200),
    nockThroatMm: Num(0, 40),
    shaftGPerMm: Num(0, 1),
    nockG: Num(0, 20),
    vaneCount: Type.Integer({ minimum: 0, maximum: 8 }),
    vaneG: Num(0, 20),
    vaneRearMm: Num(0, 1200),
    vaneLengthMm: Num(0, 400),
    wrapG: Type.Optional(Num(0, 20)),
    wrapLengthMm: Type.Optional(Num(0, 1200)),
    insertG: Num(0, 60),
    insertLengthMm: Num(0, 400),
    pointG: Num(0, 60),
    pointCentreMm: Num(-100, 100),
    peakN: Type.Optional(Positive(1000)),
    character: Type.Optional(OneOf('smooth', 'balanced', 'fast')),
    staticSpineIn: Type.Optional(Positive(3)),
  },
  strict,
);

export const ArrowResponse = Type.Object({
  massG: Type.Number(),
  balanceFromNockMm: Type.Number(),
  frontOfCentrePct: Type.Number(),
  neededSpineIn: Type.Optional(Type.Number()),
  grainsPerPound: Type.Optional(Type.Number()),
  spineVerdict: Type.Optional(OneOf('weak', 'good', 'stiff')),
});

const KitId = Type.String({ minLength: 1, maxLength: 100 });

export const KitRequest = Type.Object(
  {
    slots: Type.Array(
      Type.Object(
        {
          name: KitId,
          required: Type.Boolean(),
          items: Type.Array(
            Type.Object(
              {
                id: KitId,
                priceCents: Type.Integer({ minimum: 0, maximum: 10_000_000 }),
                massG: Num(0, 100_000),
                worth: Num(-1e6, 1e6),
              },
              strict,
            ),
            { maxItems: 500 },
          ),
        },
        strict,
      ),
      { minItems: 1, maxItems: 40 },
    ),
    conflicts: Type.Array(Pair(KitId), { maxItems: 20_000 }),
    budgetCents: Type.Optional(Type.Integer({ minimum: 0, maximum: 100_000_000 })),
    massLimitG: Type.Optional(Num(0, 1_000_000)),
    alternatives: Type.Optional(Type.Integer({ minimum: 0, maximum: 20 })),
  },
  strict,
);

const KitPackage = {
  chosen: Type.Record(Type.String(), Nullable(Type.String())),
  worth: Type.Number(),
  priceCents: Type.Number(),
  massG: Type.Number(),
};

export const KitResponse = Type.Union([
  Type.Object({
    status: Type.Literal('optimal'),
    ...KitPackage,
    alternatives: Type.Array(Type.Object(KitPackage)),
  }),
  Type.Object({
    status: Type.Literal('infeasible'),
    relax: Type.Object({
      budgetCents: Type.Number(),
      massG: Type.Number(),
      slots: Type.Array(Type.String()),
    }),
  }),
]);

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
