import type { ShopSteps, Station } from '../bench';
import type { WeekHours } from '../calendar';
import type { KitLines, Slot } from '../kit';
import type { Schools } from '../setup';
import type { ShopUnits } from '../units';

export interface Shop {
  readonly name: string;
  readonly address: string;
  /** As it stands on cards and sheets; empty where none is given. */
  readonly phone: string;
  readonly timeZone: string;
  readonly units: ShopUnits;
  readonly loopCounts: boolean;
  /** Who works at the bench, by name; kept with the people, not with the settings. */
  readonly people: readonly string[];
  /** Minutes without a touch after which a tablet locks itself. */
  readonly lockAfterMin: number;
  /** Ages and times that hang on where the shop stands. */
  readonly persons: PersonRules;
  /** Lines of the kit, and how much a place counts where the shop sees it otherwise. */
  readonly kit: KitLines & { readonly weights: Partial<Record<Slot, number>> };
  readonly quote: QuoteTerms;
  /** How things are done here, unless a job says otherwise. */
  readonly schools: Schools;
  /** Steps changed, left out or added by the shop. */
  readonly steps: ShopSteps;
  /** How many of each station stand in the shop. */
  readonly stations: Readonly<Record<Station, number>>;
  /** Working hours by name; who is not named works the usual ones. */
  readonly hours: Readonly<Record<string, WeekHours>>;
  readonly closed: readonly ClosedDay[];
}

/** What holds for people here; the law of the place, or the shop, says it. */
export interface PersonRules {
  /** Of age from this birthday on: before it a guardian is named. */
  readonly adultFromYears: number;
  /** Who was not here for so many years is proposed to be erased; null keeps them. */
  readonly keepYears: number | null;
}

export const PERSON_RULES: PersonRules = { adultFromYears: 18, keepYears: 10 };

/** What the settings hold of it; people are kept by themselves. */
export type ShopSettings = Omit<Shop, 'people'>;

/** A day nobody works, YYYY-MM-DD in the shop's time zone. */
export interface ClosedDay {
  readonly day: string;
  readonly name: string;
}

/** What a quote is made by; set by the shop. */
export interface QuoteTerms {
  /** Of prices that hold it already, percent. */
  readonly taxPct: number;
  readonly depositPct: number;
  readonly validDays: number;
  /** An hour at the bench; 0 where setting up is not charged. */
  readonly hourCents: number;
}

export const QUOTE_TERMS: QuoteTerms = { taxPct: 19, depositPct: 30, validDays: 14, hourCents: 0 };
