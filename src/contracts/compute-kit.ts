import { Type } from '@sinclair/typebox';
import { Nullable, Num, OneOf, Pair, Positive, strict } from './compute-parts';

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
