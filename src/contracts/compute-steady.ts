import { Type, type TObject } from '@sinclair/typebox';
import { Nullable, Num, OneOf, Pair, Positive, strict } from './compute-parts';

/** Bodies of the calculations of balance and aim. */
const Along = Num(-2000, 2000);
const Place = Type.Object({ forwardMm: Along, upMm: Along, rightMm: Along }, strict);
const Name = Type.String({ minLength: 1, maxLength: 80 });
const Mass = Positive(20_000);
const Inertia = Num(0, 1e7);

const MassPart = Type.Union([
  Type.Object({ name: Name, massG: Mass, at: Place }, strict),
  Type.Object({ name: Name, massG: Mass, from: Place, to: Place }, strict),
]);

export const BalanceRequest = Type.Object(
  { parts: Type.Array(MassPart, { minItems: 1, maxItems: 200 }) },
  strict,
);

const Torques = {
  massG: Type.Number(),
  rollTorqueNmm: Type.Number(),
  pitchTorqueNmm: Type.Number(),
  yawInertiaKgMm2: Type.Number(),
  pitchInertiaKgMm2: Type.Number(),
};

export const BalanceResponse = Type.Object({
  ...Torques,
  centre: Type.Object({
    forwardMm: Type.Number(),
    upMm: Type.Number(),
    rightMm: Type.Number(),
  }),
  rollInertiaKgMm2: Type.Number(),
});

const Lean = Num(-90, 90);

export const HangCentreRequest = Type.Object(
  {
    hangs: Type.Array(
      Type.Object(
        { at: Type.Object({ forwardMm: Along, upMm: Along }, strict), leanDeg: Lean },
        strict,
      ),
      { minItems: 1, maxItems: 12 },
    ),
    behind: Type.Optional(
      Type.Object(
        { at: Type.Object({ upMm: Along, rightMm: Along }, strict), leanDeg: Lean },
        strict,
      ),
    ),
  },
  strict,
);

export const HangCentreResponse = Type.Object({
  centre: Type.Object({
    forwardMm: Type.Number(),
    upMm: Type.Number(),
    rightMm: Type.Optional(Type.Number()),
  }),
  residualsMm: Type.Array(Type.Number()),
  sigmaMm: Type.Object({ forwardMm: Type.Number(), upMm: Type.Number() }),
  correlation: Type.Number(),
});

const Torque = Num(-20_000, 20_000);
const How = Type.Optional(OneOf('slight', 'clear'));

export const ReactionRequest = Type.Object(
  {
    history: Type.Array(
      Type.Object(
        {
          rollTorqueNmm: Torque,
          pitchTorqueNmm: Torque,
          tip: OneOf('left', 'right', 'stays'),
          tipHow: How,
          pitch: OneOf('forward', 'back', 'stays'),
          pitchHow: How,
        },
        strict,
      ),
      { maxItems: 200 },
    ),
  },
  strict,
);

export const ReactionResponse = Type.Object({
  neutralRollNmm: Type.Number(),
  sigmaRollNmm: Type.Number(),
  neutralPitchNmm: Type.Number(),
  sigmaPitchNmm: Type.Number(),
});

const Id = Type.String({ minLength: 1, maxLength: 60 });
const Angles = Type.Array(Num(-180, 180), { minItems: 1, maxItems: 72 });
const side = <M extends TObject>(mount: M) =>
  Type.Object(
    {
      mounts: Type.Array(mount, { maxItems: 12 }),
      bars: Type.Array(
        Type.Object({ id: Id, lengthMm: Positive(1500), massG: Positive(2000) }, strict),
        { maxItems: 60 },
      ),
      weights: Type.Array(
        Type.Object(
          { id: Id, massG: Positive(1000), most: Type.Integer({ minimum: 0, maximum: 40 }) },
          strict,
        ),
        { maxItems: 20 },
      ),
    },
    strict,
  );

export const BarChoiceRequest = Type.Object(
  {
    hand: OneOf('right', 'left'),
    bare: Type.Object(
      { massG: Mass, centre: Place, yawInertiaKgMm2: Inertia, pitchInertiaKgMm2: Inertia },
      strict,
    ),
    front: side(Type.Object({ id: Id, at: Place, downDeg: Angles }, strict)),
    rear: side(Type.Object({ id: Id, at: Place, sideDeg: Angles, downDeg: Angles }, strict)),
    pitchBandNmm: Pair(Torque),
    rollToleranceNmm: Num(0, 20_000),
    rollTargetNmm: Type.Optional(Torque),
    massLimitG: Mass,
  },
  strict,
);

const Mounted = {
  mount: Type.String(),
  bar: Type.String(),
  downDeg: Type.Number(),
  weight: Nullable(Type.String()),
  count: Type.Integer(),
};

export const BarChoiceResponse = Type.Object({
  status: OneOf('met', 'nearest'),
  front: Nullable(Type.Object(Mounted)),
  rear: Nullable(Type.Object({ ...Mounted, sideDeg: Type.Number() })),
  ...Torques,
  frontier: Type.Optional(
    Type.Array(Type.Object({ massG: Type.Number(), inertiaKgMm2: Type.Number() })),
  ),
  overNmm: Type.Optional(Type.Number()),
  combinations: Type.Integer(),
  lookedAt: Type.Integer(),
});

const Aim = Num(-2000, 2000);
/** Of a minute at 200 samples a second. */
const MOST_SAMPLES = 12_000;

export const HoldTraceRequest = Type.Object(
  {
    samples: Type.Array(
      Type.Object({ tS: Num(-3600, 3600), rightMrad: Aim, upMrad: Aim }, strict),
      { minItems: 2, maxItems: MOST_SAMPLES },
    ),
    releaseS: Type.Optional(Num(-3600, 3600)),
  },
  strict,
);

export const HoldTraceResponse = Type.Object({
  hold: Type.Object({
    fromS: Type.Number(),
    durationS: Type.Number(),
    rmsMrad: Type.Number(),
    rmsWithoutDriftMrad: Type.Number(),
    driftMradS: Type.Object({ right: Type.Number(), up: Type.Number() }),
    ellipse: Type.Object({
      semiMajorMrad: Type.Number(),
      semiMinorMrad: Type.Number(),
      tiltDeg: Type.Number(),
    }),
    centre: Type.Object({ rightMrad: Type.Number(), upMrad: Type.Number() }),
    dominantHz: Type.Number(),
    sidewaysShare: Type.Number(),
  }),
  approach: Type.Object({ fromDeg: Type.Number() }),
  followThrough: Type.Optional(Type.Object({ rmsMrad: Type.Number(), leavesDeg: Type.Number() })),
  releaseS: Type.Number(),
});

const Shots = Type.Array(Positive(1000), { minItems: 1, maxItems: 200 });

export const HoldCompareRequest = Type.Object(
  { a: Shots, b: Shots, hopedPart: Type.Optional(Num(0.001, 1)) },
  strict,
);

export const HoldCompareResponse = Type.Object({
  meanA: Type.Number(),
  meanB: Type.Number(),
  difference: Type.Number(),
  pValue: Type.Number(),
  interval95: Pair(Type.Number()),
  shotsNeeded: Type.Integer(),
  verdict: OneOf('better', 'worse', 'notShown'),
});
