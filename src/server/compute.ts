import { checker } from '@/contracts/ajv';
import * as schemas from '@/contracts/compute';
import { launchSpeed, type LaunchSpeedInput } from '@/core/bow';
import {
  drawLength,
  limbBolts,
  type DrawLengthOptions,
  type DrawLengthReading,
  type LimbBoltInput,
} from '@/core/fit';
import {
  airDensity,
  group,
  sightMarks,
  type AirConditions,
  type GroupInput,
  type SightMarksInput,
} from '@/core/flight';
import type { Outcome } from '@/core/outcome';
import { bestRoute, type RouteInput } from '@/core/route';
import type { TSchema } from '@sinclair/typebox';
import { invalid, notFound, refusedProblem } from './problem';

export interface Calculation {
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
  'sight-marks': calculation<SightMarksInput & { air?: AirConditions }>(
    'Pin heights for distances',
    schemas.SightMarksRequest,
    schemas.SightMarksResponse,
    ({ air, ...input }) =>
      orProblem(sightMarks(air ? { airDensityKgM3: airDensity(air), ...input } : input)),
  ),
  group: calculation<GroupInput>(
    'Whether a group is off the aim, and the pin’s move',
    schemas.GroupRequest,
    schemas.GroupResponse,
    group,
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
