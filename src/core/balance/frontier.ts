import { gram, kgMm2, type Gram, type KgMm2 } from '../units';

interface FrontierPoint {
  readonly massG: Gram;
  readonly inertiaKgMm2: KgMm2;
}

/** Two masses, or inertias, that differ by less are the same added in another order. */
const SAME_G = 1e-7;
const SAME_PART = 1e-10;

/** The most inertia for each mass: no point of it has as much inertia as another for more mass. */
export class Frontier<T extends object> {
  // Both rise from the lightest to the heaviest.
  private readonly mass: number[] = [];
  private readonly inertia: number[] = [];
  private readonly made: T[] = [];

  /** True where nothing lighter, or as light, has as much inertia; what it beats is dropped. */
  offer(massG: number, inertia: number, from: () => T): boolean {
    let [low, high] = [0, this.mass.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.mass[middle]! <= massG + SAME_G) low = middle + 1;
      else high = middle;
    }
    // The last one that is no heavier.
    const before = low - 1;
    if (before >= 0 && this.inertia[before]! >= inertia * (1 - SAME_PART)) return false;
    const isSameMass = before >= 0 && this.mass[before]! >= massG - SAME_G;
    const at = isSameMass ? before : low;
    let beaten = isSameMass ? 1 : 0;
    while (
      at + beaten < this.mass.length &&
      this.inertia[at + beaten]! <= inertia * (1 + SAME_PART)
    )
      beaten++;
    this.mass.splice(at, beaten, massG);
    this.inertia.splice(at, beaten, inertia);
    this.made.splice(at, beaten, from());
    return true;
  }

  points(): (FrontierPoint & T)[] {
    return this.mass.map((massG, i) => ({
      ...this.made[i]!,
      massG: gram(massG),
      inertiaKgMm2: kgMm2(this.inertia[i]!),
    }));
  }
}
