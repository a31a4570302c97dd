import { checker } from '@/contracts/ajv';
import { arrowOf, type ArrowBuild } from '@/core/arrow';
import { chooseKit, type ChooserInput } from '@/core/kit';
import * as schemas from '@/contracts/compute';
import {
  camTiming,
  curveFacts,
  launchSpeed,
  rankDrawOff,
  type CamTimingInput,
  type CurvePoint,
  type DrawOff,
  type LaunchSpeedInput,
} from '@/core/bow';
import {
  barChoice,
  hangCentre,
  massProperties,
  neutralTorques,
  type BarChoiceInput,
  type HangInput,
  type MassPart,
  type Reaction,
} from '@/core/balance';
import { holdCompare, holdTrace, type HoldCompareInput, type HoldTraceInput } from '@/core/hold';
import {
  drawLength,
  drawWeight,
  limbBolts,
  type DrawLengthOptions,
  type DrawLengthReading,
  type DrawWeightInput,
  type LimbBoltInput,
} from '@/core/fit';
import {
  airDensity,
  group,
  groupSpread,
  sightFit,
  sightMarks,
  type AirConditions,
  type GroupInput,
  type SightFitInput,
  type SightMarksInput,
} from '@/core/flight';
import type { Outcome } from '@/core/outcome';
import { bestRoute, type RouteInput } from '@/core/route';
import { paperTune, type PaperTuneInput } from '@/core/tuning';
import type { TSchema } from '@sinclair/typebox';
import { invalid, notFound, refusedProblem } from './problem';
import { solve } from './solver';

interface Calculation {
  readonly request: TSchema;
  readonly response: TSchema;
  readonly summary: string;
  readonly run: (input: unknown) => unknown;
}

/** A checked body gets its units here; the schema has made sure of shape and range. */
function calculation<In>(
  summary: string,
  request: TSchema,
  response: TSchema,
  compute: (input: In) => unknown,
): Calculation {
  const check = checker(request);
  return {
    summary,
    request,
    response,
    run(input) {
      const checked = check(input);
      if (!checked.ok) throw invalid(checked.errors);
      return compute(checked.value as In);
    },
  };
}

function orProblem<T extends object>(outcome: Outcome<T>): Omit<T, 'ok'> {
  if (!outcome.ok) throw refusedProblem(outcome);
  const { ok: _ok, ...value } = outcome;
  return value as unknown as Omit<T, 'ok'>;
}

/** Every calculation that can be reached over HTTP, by its name in the URL. */
export const CALCULATIONS: Readonly<Record<string, Calculation>> = {
  'draw-length': calculation<{ readings: DrawLengthReading[] } & DrawLengthOptions>(
    'Draw length from several readings, and the module step to take',
    schemas.DrawLengthRequest,
    schemas.DrawLengthResponse,
    ({ readings, ...options }) => {
      const { module, ...result } = drawLength(readings, options)!;
      return { ...result, ...(module ? { module } : {}) };
    },
  ),
  'limb-bolts': calculation<LimbBoltInput>(
    'Turns of the limb bolts to a target weight, from bow-scale readings',
    schemas.LimbBoltsRequest,
    schemas.LimbBoltsResponse,
    (input) => orProblem(limbBolts(input)),
  ),
  'launch-speed': calculation<LaunchSpeedInput>(
    'Arrow speed from the bow’s rating',
    schemas.LaunchSpeedRequest,
    schemas.LaunchSpeedResponse,
    (input) => orProblem(launchSpeed(input)),
  ),
  'draw-weight': calculation<DrawWeightInput>(
    'Start weight and next trial from trials on a shop bow',
    schemas.DrawWeightRequest,
    schemas.DrawWeightResponse,
    (input) => {
      // The grid is for drawing; the answer is what hangs on it.
      const { grid: _grid, ...result } = drawWeight(input);
      return result;
    },
  ),
  'draw-force': calculation<{ points: CurvePoint[] }>(
    'What a logged draw-force curve says',
    schemas.DrawForceRequest,
    schemas.DrawForceResponse,
    ({ points }) => orProblem(curveFacts(points)),
  ),
  'draw-off': calculation<DrawOff & { speedMps?: Record<string, number> }>(
    'Ranking of bows drawn side by side, from marks by pairs',
    schemas.DrawOffRequest,
    schemas.DrawOffResponse,
    ({ speedMps, ...drawOff }) => orProblem(rankDrawOff(drawOff, speedMps)),
  ),
  'cam-timing': calculation<CamTimingInput>(
    'Which cable to twist, and how much, from the stops’ gap on the draw board',
    schemas.CamTimingRequest,
    schemas.CamTimingResponse,
    (input) => orProblem(camTiming(input)),
  ),
  arrow: calculation<ArrowBuild>(
    'Mass, balance and spine of an arrow from its parts',
    schemas.ArrowRequest,
    schemas.ArrowResponse,
    (input) => orProblem(arrowOf(input)),
  ),
  kit: calculation<ChooserInput>(
    'The package worth most within budget and mass, proven optimal',
    schemas.KitRequest,
    schemas.KitResponse,
    async (input) => orProblem(await chooseKit(input, solve)),
  ),
  'sight-marks': calculation<SightMarksInput & { air?: AirConditions }>(
    'Pin heights for distances',
    schemas.SightMarksRequest,
    schemas.SightMarksResponse,
    ({ air, ...input }) =>
      orProblem(sightMarks(air ? { airDensityKgM3: airDensity(air), ...input } : input)),
  ),
  'sight-fit': calculation<SightFitInput & { air?: AirConditions; clearance?: unknown }>(
    'Launch speed, and drag, from confirmed marks by least squares',
    schemas.SightFitRequest,
    schemas.SightFitResponse,
    // A housing in the way does not change where the arrow flew.
    ({ air, clearance: _clearance, ...input }) =>
      orProblem(sightFit(air ? { airDensityKgM3: airDensity(air), ...input } : input)),
  ),
  'paper-tune': calculation<PaperTuneInput>(
    'The next adjustment from tears through paper, learned from every shot',
    schemas.PaperTuneRequest,
    schemas.PaperTuneResponse,
    (input) => {
      const { response, answers, ...result } = paperTune(input);
      return {
        ...result,
        nothingAnswersLog: answers.logRatio,
        scatterMm: response.scatterMm,
        tear: { rightMm: response.right.mean, upMm: response.up.mean },
      };
    },
  ),
  group: calculation<GroupInput>(
    'Whether a group is off the aim, and the pin’s move',
    schemas.GroupRequest,
    schemas.GroupResponse,
    (input) => ({ ...group(input), ...groupSpread(input.hits) }),
  ),
  balance: calculation<{ parts: MassPart[] }>(
    'Mass, centre, torques and moments of inertia of a bow from its parts',
    schemas.BalanceRequest,
    schemas.BalanceResponse,
    ({ parts }) => massProperties(parts),
  ),
  'hang-centre': calculation<HangInput>(
    'Where a bow’s mass has its centre, from how it hangs',
    schemas.HangCentreRequest,
    schemas.HangCentreResponse,
    (input) => orProblem(hangCentre(input)),
  ),
  reaction: calculation<{ history: Reaction[] }>(
    'The torques at which a bow stays quiet after the shot, from what it did',
    schemas.ReactionRequest,
    schemas.ReactionResponse,
    ({ history }) => neutralTorques(history),
  ),
  'bar-choice': calculation<BarChoiceInput>(
    'The steadiest bars within mass, roll and pitch, proven best',
    schemas.BarChoiceRequest,
    schemas.BarChoiceResponse,
    (input) => orProblem(barChoice(input)),
  ),
  'hold-trace': calculation<HoldTraceInput>(
    'What an aim trace says of one shot',
    schemas.HoldTraceRequest,
    schemas.HoldTraceResponse,
    (input) => orProblem(holdTrace(input)),
  ),
  'hold-compare': calculation<HoldCompareInput>(
    'Whether an archer holds stiller with one set-up than with another',
    schemas.HoldCompareRequest,
    schemas.HoldCompareResponse,
    (input) => orProblem(holdCompare(input)),
  ),
  route: calculation<RouteInput>(
    'The cheapest workable order of steps over stations',
    schemas.RouteRequest,
    schemas.RouteResponse,
    (input) => orProblem(bestRoute(input)),
  ),
};

export function compute(name: string, input: unknown): unknown {
  const found = Object.hasOwn(CALCULATIONS, name) ? CALCULATIONS[name] : undefined;
  if (!found) throw notFound('calculation');
  return found.run(input);
}
