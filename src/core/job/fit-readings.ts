import {
  DRAW_LENGTH_METHODS,
  eyeTestResult,
  isOldBowKey,
  OLD_BOW,
  POSTURE,
  type DrawLengthMethod,
  type DrawLengthReading,
  type EyeSeen,
  type OldBowFigures,
  type OldBowKey,
  type PostureLook,
  type PosturePlace,
  type PostureSeen,
  type TrialOutcome,
  type WeightTrial,
} from '../fit';
import type { Hand } from '../bow';
import type { ReadingData } from '../setup';
import { mm, newton, type Mm } from '../units';

export type PostureKey = `posture.${PosturePlace}`;

/** What is read on the archer or on the bow they bring, not on the new bow. */
export type FitKey =
  DrawLengthMethod | 'weightTrial' | 'postureBow' | PostureKey | 'eyeTest' | OldBowKey;

/** A reading of the fit: not a value of the bow but of the archer. */
export interface FitReading {
  readonly seq: number;
  readonly key: FitKey;
  /** SI; null for something seen. */
  readonly si: number | null;
  /** Seconds held, of a weight trial; null where not timed. */
  readonly si2: number | null;
  /** How a weight trial went; null for every other reading. */
  readonly outcome: TrialOutcome | null;
  /** The hand a weight trial was drawn with; null where that was not kept. */
  readonly hand: Hand | null;
  /** What was seen, of posture and eye. */
  readonly choice: string | null;
  readonly entered: string;
  readonly who: string;
  readonly at: string;
}

interface FitRow extends Pick<
  FitReading,
  'seq' | 'key' | 'si' | 'si2' | 'choice' | 'entered' | 'who' | 'at'
> {
  readonly data?: ReadingData | null;
}

/** A row as the fit reads it: of a trial of weight the choice is how it went. */
export function fitReadingOf({ data = null, choice, ...row }: FitRow): FitReading {
  const trial = row.key === 'weightTrial';
  return {
    ...row,
    outcome: trial ? (choice as FitReading['outcome']) : null,
    choice: trial ? null : choice,
    hand: data?.kind === 'trial' ? data.hand : null,
  };
}

export const isMethod = (key: string): key is DrawLengthMethod =>
  DRAW_LENGTH_METHODS.some((entry) => entry.method === key);

export const postureKey = (place: PosturePlace): PostureKey => `posture.${place}`;

export const posturePlace = (key: string): PosturePlace | null =>
  POSTURE.find(({ id }) => postureKey(id) === key)?.id ?? null;

export const isFitKey = (key: string): key is FitKey =>
  isMethod(key) ||
  isOldBowKey(key) ||
  ['weightTrial', 'postureBow', 'eyeTest'].includes(key) ||
  posturePlace(key) !== null;

/** What a reading of the fit is called: "Arm span", "Full draw, lean". */
export function fitKeyName(key: FitKey): string {
  const method = DRAW_LENGTH_METHODS.find((entry) => entry.method === key);
  const old = OLD_BOW.find((entry) => entry.key === key);
  const place = POSTURE.find(({ id }) => postureKey(id) === key);
  if (method) return method.name;
  if (old) return `${old.name} of the old bow`;
  if (place) return `Full draw, ${place.name.toLowerCase()}`;
  if (key === 'weightTrial') return 'Weight trial';
  return key === 'postureBow' ? 'Bow in hand' : 'Dominant eye';
}

type Readings = readonly FitReading[];

/** Of the archer’s body every reading that stands; of the bow they bring the newest alone. */
export const lengthReadings = (readings: Readings): DrawLengthReading[] => {
  const newestBow = readings.findLastIndex(({ key }) => key === 'fittingBow');
  return readings.flatMap(({ key, si }, i) =>
    isMethod(key) && si !== null && (key !== 'fittingBow' || i === newestBow)
      ? [{ method: key, valueMm: mm(si) }]
      : [],
  );
};

/** Trials of the hand they shoot with: the other arm says nothing of this one. */
export const weightTrials = (readings: Readings, { hand }: { hand: Hand }): WeightTrial[] =>
  readings.flatMap((reading) => {
    const { key, si, outcome } = reading;
    return key === 'weightTrial' && outcome && si !== null && isOfHand(reading, hand)
      ? [{ peakN: newton(si), outcome }]
      : [];
  });

export const isOfHand = (reading: Pick<FitReading, 'hand'>, hand: Hand): boolean =>
  reading.hand === null || reading.hand === hand;

/** The newest look: the bow in hand, and what was seen since it was noted. */
export function postureLooks(readings: Readings): {
  readonly drawnMm: Mm | null;
  readonly looks: readonly PostureLook[];
} {
  const start = readings.findLastIndex(({ key }) => key === 'postureBow');
  const since = readings.slice(Math.max(0, start));
  const looks = POSTURE.flatMap(({ id }) => {
    const last = since.findLast(({ key }) => key === postureKey(id));
    return last ? [{ place: id, seen: last.choice as PostureSeen }] : [];
  });
  const drawn = start < 0 ? null : (readings[start]!.si ?? null);
  return { drawnMm: drawn === null ? null : mm(drawn), looks };
}

export const eyeTries = (readings: Readings): EyeSeen[] =>
  readings.flatMap(({ key, choice }) => (key === 'eyeTest' ? [choice as EyeSeen] : []));

export const eyeTest = (readings: Readings) => eyeTestResult(eyeTries(readings));

/** The newest figure of each thing measured on the old bow, SI. */
export function oldBowFigures(readings: Readings): OldBowFigures {
  return Object.fromEntries(
    readings.flatMap(({ key, si }) => (isOldBowKey(key) && si !== null ? [[key, si]] : [])),
  );
}

/** The method asked for next: the one furthest out where they disagree, else the first without a reading. */
export function nextLengthMethod(
  taken: readonly Pick<FitReading, 'key'>[],
  outlier: DrawLengthMethod | null,
): DrawLengthMethod {
  if (outlier) return outlier;
  const open = DRAW_LENGTH_METHODS.find(({ method }) => !taken.some(({ key }) => key === method));
  return open?.method ?? 'armSpan';
}
