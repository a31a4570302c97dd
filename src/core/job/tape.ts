import {
  airDensity,
  candidateTapes,
  longestTapeMm,
  pressureAtHpa,
  sightTape,
  tapeSheet,
  type PaperSize,
  type Tape,
  type TapeOptions,
  type TapeSheet,
} from '../flight';
import { answered, refused, type Outcome } from '../outcome';
import { write } from '../units';
import type { JobDerived } from './derive';
import { jobMarks, markDistances, type JobFlight } from './marks';
import type { JobSnapshot } from './types';

/** What is asked of a tape's print. */
export interface TapeWish extends TapeOptions {
  readonly paper: PaperSize;
  /** Neighbouring speeds on each side, and how far apart, m/s. */
  readonly neighbours: number;
  readonly stepMps: number;
  readonly temperatureC: number;
  /** Above the sea. */
  readonly heightM: number;
}

interface JobTape {
  /** The tape of the job's own speed. */
  readonly own: Tape;
  readonly sheet: TapeSheet;
  /** Neighbours that were wanted and do not fit on the paper. */
  readonly leftOut: number;
  readonly flight: JobFlight;
}

/**
 * The job's tape, and tapes of neighbouring speeds, on one sheet; with speed and conditions on it.
 * Speed and drag come from the confirmed distances where there are two, else from the chronograph.
 *
 * @returns a refusal where something the marks rest on is missing, or no length is left.
 */
export function jobTape(
  { archer, bow, job, shop, today }: JobSnapshot,
  derived: JobDerived,
  wish: TapeWish,
): Outcome<JobTape> {
  const marks = jobMarks(derived, markDistances(job.furthestM, wish.unit));
  if (!marks.flight)
    return marks.answer.ok
      ? refused('inputs-missing', 'Nothing to make marks from.')
      : marks.answer;
  const flight: JobFlight = {
    ...marks.flight,
    airDensityKgM3: airDensity({
      temperatureC: wish.temperatureC,
      pressureHpa: pressureAtHpa(wish.heightM),
      humidity: 0,
    }),
  };
  const own = sightTape(flight, wish);
  if (!own.ok) return own;
  const longest = longestTapeMm(wish.paper);
  if (own.lengthMm > longest)
    return refused(
      'too-long',
      `This tape is ${own.lengthMm.toFixed(0)} mm long; the paper takes ${longest.toFixed(0)} mm. End it at a shorter distance.`,
      'to',
    );
  const speeds = Array.from(
    { length: 2 * wish.neighbours + 1 },
    (_, i) => flight.speedMps + (i - wish.neighbours) * wish.stepMps,
  );
  const tapes = candidateTapes(flight, wish, speeds).flatMap((tape) =>
    tape.ok && tape.lengthMm <= longest ? [tape] : [],
  );
  const units = shop.units;
  const speed = (mps: number) => write(mps, 'speed', units, { decimals: 1 });
  const clear = own.furthestClearM;
  const basis = marks.inputs[0]!.from === 'shots' ? 'confirmed distances' : marks.inputs[0]!.from;
  const sheet = tapeSheet(tapes, wish.paper, {
    title: `Sight tape, ${archer.name}`,
    lines: [
      `${bow ? `${bow.maker} ${bow.model}, ` : ''}job ${job.number}, ${today}. Speed ${speed(flight.speedMps)}, from: ${basis}.`,
      `${wish.temperatureC.toFixed(0)} °C, ${wish.heightM.toFixed(0)} m above the sea, drag ${(flight.dragCoefficient ?? 2).toFixed(2)}; ${wish.unit === 'm' ? 'metres' : 'yards'} from ${own.lines[0]!.distance} to ${own.lines.at(-1)!.distance}.`,
      ...(own.cut && clear !== null
        ? [
            `Past ${write(clear, 'distance', units, { decimals: 0 })} the housing comes into the arrow’s way: no line is printed there.`,
          ]
        : []),
    ],
    ruler: 'Print at 100 %: a rule must read 100 mm',
    strip: (tape) => [
      speed(tape.speedMps),
      Math.abs(tape.speedMps - flight.speedMps) < 1e-9 ? 'this bow' : 'neighbour',
    ],
  });
  return answered({ own, sheet, flight, leftOut: tapes.length - sheet.strips.length });
}
