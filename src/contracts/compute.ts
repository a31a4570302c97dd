import { Type, type Static } from '@sinclair/typebox';
import { Nullable, Num, OneOf, Pair, Positive, strict } from './compute-parts';

export * from './compute-lane';
export * from './compute-steady';
export * from './compute-kit';

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

/** RFC 9457. */
export const Problem = Type.Object({
  type: Type.String(),
  title: Type.String(),
  status: Type.Integer(),
  detail: Type.Optional(Type.String()),
  errors: Type.Optional(Type.Array(Type.Object({ pointer: Type.String(), detail: Type.String() }))),
});
export type ProblemBody = Static<typeof Problem>;
