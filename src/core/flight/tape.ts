import { answered, refused, type Outcome } from '../outcome';
import { M_PER_YARD, metre, mps, type Metre, type Mps } from '../units';
import { sightMarks, type SightMarksInput } from './sight-marks';

export interface TapeOptions {
  readonly unit: 'm' | 'yd';
  /** Numbers at every fifth or tenth line. */
  readonly numbersEvery: 5 | 10;
  /** Side of the strip the numbers stand on, seen as it is stuck on. */
  readonly side: 'left' | 'right';
  /** Width of a line, mm: 0.1 to 0.6. */
  readonly lineMm: number;
  /** Width of the strip, mm: 6 to 30. */
  readonly widthMm: number;
  /** First and last distance in the unit. */
  readonly from: number;
  readonly to: number;
  /** Scale units for each mm of the pin: 1 where the tape sits on the pin's own slide. */
  readonly ratio: number;
}

export interface TapeLine {
  /** In the tape's unit. */
  readonly distance: number;
  readonly distanceM: Metre;
  /** Below the first line, mm on paper. */
  readonly yMm: number;
  /** 0 is numbered, 1 every fifth, 2 the rest. */
  readonly rank: 0 | 1 | 2;
  readonly number: string | null;
}

export interface Tape {
  readonly speedMps: Mps;
  readonly lines: readonly TapeLine[];
  readonly lengthMm: number;
  readonly options: TapeOptions;
  /** No line stands past it: the housing would come into the arrow's way. Null where it never does. */
  readonly furthestClearM: Metre | null;
  /** The last distance asked for was left out for that reason. */
  readonly cut: boolean;
}

/** Numbers closer than this on paper would run into each other, mm. */
const NUMBER_ROOM_MM = 2.2;

/**
 * A sight tape true to size: a line each metre or yard, numbers every five or ten, from the pin
 * heights of the flight model (docs/models.md section 6). Nothing is drawn past the furthest clear mark.
 *
 * @returns a refusal where no two lines are left: a tape without a length is none.
 */
export function sightTape(
  flight: Omit<SightMarksInput, 'distancesM'>,
  options: TapeOptions,
): Outcome<Tape> {
  const bad = badOptions(options);
  if (bad) return bad;
  const perUnit = options.unit === 'yd' ? M_PER_YARD : 1;
  const wanted: number[] = [];
  for (let d = Math.ceil(options.from); d <= options.to; d++) wanted.push(d);
  const whole = reachable(flight, wanted, perUnit);
  const clear = whole.furthestClearM;
  const usable = whole.marks.filter(({ distanceM }) => clear === null || distanceM <= clear + 1e-9);
  // The nearest lines can fold back on themselves: the pin is highest about 10 m out.
  const top = usable.reduce((best, mark, i) => (mark.pinMm > usable[best]!.pinMm ? i : best), 0);
  const kept = usable.slice(top);
  if (kept.length < 2)
    return refused(
      'no-length',
      clear !== null && clear < options.from * perUnit + 1
        ? 'The sight’s housing is in the arrow’s way from the first line on: this tape would have no length. A higher peep or a longer sight radius makes room.'
        : 'A tape needs two distances at least, the last further than the first: this one would have no length.',
      'to',
    );
  const first = kept[0]!.pinMm;
  const lines = kept.map(({ distance, distanceM, pinMm }): TapeLine => {
    const numbered = distance % options.numbersEvery === 0;
    return {
      distance,
      distanceM,
      yMm: (first - pinMm) * options.ratio,
      rank: numbered ? 0 : distance % 5 === 0 ? 1 : 2,
      number: numbered ? String(distance) : null,
    };
  });
  return answered({
    speedMps: mps(flight.speedMps),
    lines: withRoom(lines),
    lengthMm: lines.at(-1)!.yMm,
    options,
    furthestClearM: clear,
    cut: kept.at(-1)!.distance < Math.floor(options.to),
  });
}

function badOptions({ from, to, lineMm, widthMm, ratio }: TapeOptions) {
  if (!(from >= 5 && to <= 200))
    return refused('out-of-range', 'A tape goes from 5 to 200 m or yards.', 'from');
  if (!(to - from >= 1))
    return refused(
      'no-length',
      'A tape needs two distances at least, the last further than the first: this one would have no length.',
      'to',
    );
  if (!(lineMm >= 0.1 && lineMm <= 0.6))
    return refused('out-of-range', 'Lines can be 0.1 to 0.6 mm wide.', 'lineMm');
  if (!(widthMm >= 6 && widthMm <= 30))
    return refused('out-of-range', 'A tape can be 6 to 30 mm wide.', 'widthMm');
  if (!(ratio >= 0.2 && ratio <= 5))
    return refused(
      'out-of-range',
      'The sight’s travel for each mm of the pin is 0.2 to 5.',
      'ratio',
    );
  return null;
}

/** Pin heights as far as the arrow flies; the tape ends where it does. */
function reachable(
  flight: Omit<SightMarksInput, 'distancesM'>,
  wanted: readonly number[],
  perUnit: number,
) {
  const marks: { distance: number; distanceM: Metre; pinMm: number }[] = [];
  let furthestClearM: Metre | null = null;
  const { clearance, ...bare } = flight;
  if (clearance) {
    const answer = sightMarks({ ...bare, clearance, distancesM: [] });
    furthestClearM = answer.ok ? (answer.furthestClearM ?? null) : null;
  }
  for (const distance of wanted) {
    const distanceM = metre(distance * perUnit);
    const answer = sightMarks({ ...bare, distancesM: [distanceM] });
    if (!answer.ok) break;
    marks.push({ distance, distanceM, pinMm: answer.marks[0]!.pinAboveArrowMm });
  }
  return { marks, furthestClearM };
}

/** Numbers only where the one before is far enough away; the line stays. */
function withRoom(lines: readonly TapeLine[]): TapeLine[] {
  let last = -Infinity;
  return lines.map((line) => {
    if (line.number === null) return line;
    if (line.yMm - last < NUMBER_ROOM_MM) return { ...line, number: null };
    last = line.yMm;
    return line;
  });
}

/** Tapes of neighbouring speeds, slowest first: the shots decide which is right. */
export function candidateTapes(
  flight: Omit<SightMarksInput, 'distancesM'>,
  options: TapeOptions,
  speedsMps: readonly number[],
): readonly Outcome<Tape>[] {
  return [...speedsMps]
    .sort((a, b) => a - b)
    .map((speed) => sightTape({ ...flight, speedMps: mps(speed) }, options));
}
