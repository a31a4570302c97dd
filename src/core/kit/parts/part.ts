import type { ReleaseType } from '../../bow';
import type { Gram, Metre } from '../../units';
import type { Attrs, ValuesOf } from './attr';

/** What the bow is for; the job's own word. */
export type ShootingPurpose = 'target' | 'field' | 'threeD' | 'hunting';

/** What is known of the archer a part is judged for. */
export interface ArcherFacts {
  /** Their first bow, or under sixteen: what is simple and light serves them better than what is dear. */
  readonly learner: boolean;
  readonly furthestM: Metre | null;
  readonly lowLight: boolean;
  readonly release: ReleaseType | 'unknown';
  /** Glasses and the like, in the archer's own words; empty is none told. */
  readonly eyesight: string;
}

/** What a part does for this archer: times its worth, and why. */
export interface Does {
  readonly factor: number;
  readonly reasons: readonly string[];
}
export const plain: Does = { factor: 1, reasons: [] };
export const good = (reason: string): Does => ({ factor: 1.15, reasons: [reason] });

/** A number of the shop's as it is said: lengths by its unit, masses in grains or grams. */
export interface Say {
  readonly length: (mm: number) => string;
  readonly mass: (g: number) => string;
}

/** Everything the house knows of one kind of part. */
export interface PartDescription<A extends Attrs, D extends string> {
  readonly name: string;
  /** Its line drawing in the interface. */
  readonly drawing: D;
  readonly attrs: A;
  /** What single attributes cannot tell: which one is wrong, and what about it. */
  readonly faults?: (
    attrs: ValuesOf<A>,
  ) => readonly (false | readonly [keyof A & string, string])[];
  /** Worth knowing at a glance, shortest first. */
  readonly glance: (attrs: ValuesOf<A>, say: Say, massG: number) => readonly (string | false)[];
  /** Its mass is said in the glance already, or is of no use there. */
  readonly saysMass?: true;
}

/** A kind of part that fills a place of the bow's package. */
export interface PlaceDescription<A extends Attrs, D extends string> extends PartDescription<A, D> {
  /** Without it the bow cannot be used; looked for in every package; only where it is asked for. */
  readonly need: 'required' | 'usual' | 'extra';
  /** Hangs on the bow while it is held. */
  readonly onTheBow: boolean;
  /** How much the place counts in a choice. Shop rule: money goes to rest and sight first, then to the arrows. */
  readonly weight: number;
  /** What a purpose asks more or less of. Shop rule. */
  readonly weightFor?: Readonly<Partial<Record<ShootingPurpose, number>>>;
  /** Another one of these is another bow to the paper. */
  readonly startsPapers?: true;
  readonly does?: (
    part: { readonly attrs: ValuesOf<A>; readonly massG: Gram },
    archer: ArcherFacts,
  ) => Does;
}

export const place = <const A extends Attrs, const D extends string>(
  description: PlaceDescription<A, D>,
) => description;

/** What an arrow is built from when it is not a ready set. */
export const component = <const A extends Attrs, const D extends string>(
  description: PartDescription<A, D>,
) => description;
