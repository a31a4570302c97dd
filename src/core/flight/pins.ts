import { metre, mm, type Metre, type Mm } from '../units';

/** A sight with several fixed pins, as far as their places go. */
export interface PinHousing {
  readonly pins: number;
  /** Across one pin's dot. */
  readonly pinMm: Mm;
  /** From the highest place a pin can stand to the lowest. */
  readonly roomMm: Mm;
}

export interface PinPlace {
  readonly distanceM: Metre;
  /** Below the first pin. */
  readonly dropMm: Mm;
  /** To the pin above it; null for the first. */
  readonly gapMm: Mm | null;
  /** Inside the housing's room with the first pin where it stands. */
  readonly fits: boolean;
  /** Its dot touches or covers the one above. */
  readonly touches: boolean;
}

export interface PinLayout {
  readonly pins: readonly PinPlace[];
  /** From the first pin to the last. */
  readonly spanMm: Mm;
  /** All fit when the first pin stands at most this far below the top of its room; null: they cannot. */
  readonly firstAtMostMm: Mm | null;
  /** Where the first pin is best put, below the top of its room: as high as it goes. */
  readonly firstMm: Mm;
  /** The furthest of the given distances that still fits with the first pin there. */
  readonly furthestM: Metre | null;
}

/** A pin is not set closer to the edge of its slot than half its dot. */
const edge = (housing: PinHousing) => housing.pinMm / 2;

/**
 * Places of several pins in their housing: gaps true to size, those that do not fit named, and how
 * low the first may stand so that all do. The trade puts the first pin as high as possible.
 *
 * @param dropsMm below the first pin, growing; one for each distance, the nearest first.
 * @param firstMm where the first pin stands below the top of its room; the highest place where left out.
 */
export function pinLayout(
  housing: PinHousing,
  distancesM: readonly Metre[],
  dropsMm: readonly Mm[],
  firstMm: Mm | null = null,
): PinLayout {
  const least = edge(housing);
  const most = housing.roomMm - edge(housing);
  const first = mm(firstMm ?? least);
  const pins = distancesM.map((distanceM, i): PinPlace => {
    const dropMm = dropsMm[i]!;
    const gapMm = i === 0 ? null : mm(dropMm - dropsMm[i - 1]!);
    return {
      distanceM,
      dropMm,
      gapMm,
      fits: first + dropMm <= most + 1e-9 && first >= least - 1e-9,
      touches: gapMm !== null && gapMm < housing.pinMm,
    };
  });
  const spanMm = mm(dropsMm.at(-1) ?? 0);
  const spare = most - spanMm;
  const fitting = pins.filter((pin) => pin.fits);
  return {
    pins,
    spanMm,
    firstAtMostMm: spare >= least - 1e-9 ? mm(spare) : null,
    firstMm: first,
    furthestM: fitting.length > 0 ? metre(fitting.at(-1)!.distanceM) : null,
  };
}

/**
 * Distances for the pins of a sight: the first as confirmed, the last the furthest wanted, the rest
 * spread so that the gaps grow evenly; whole fives where the unit allows. Shop rule.
 */
export function pinDistances(pins: number, first: number, furthest: number): number[] {
  if (pins <= 1 || furthest <= first) return [first];
  const step = (furthest - first) / (pins - 1);
  const rounded = Array.from({ length: pins }, (_, i) =>
    i === 0 ? first : Math.round((first + i * step) / 5) * 5,
  );
  return [...new Set(rounded)].filter((distance, i) => i === 0 || distance > first);
}
