import type { Command } from '@/contracts/commands';
import type { BowRecord } from '@/core/bow';
import type { Archer, Job, JobSnapshot } from '@/core/job';
import type { Right } from '@/core/people';
import type { Stage } from '@/core/setup';
import type { Db } from '@/data/db';
import type { StoredBow, StoredPart } from '@/data/jobs';
import { Problem } from '../problem';
import { NO_BOW } from '@/core/entries';

/** What takes an entry back; kept with the entry. */
export type Inverse =
  | { readonly do: 'retract'; readonly seqs: readonly number[] }
  | {
      readonly do: 'restore';
      /** Only the entry’s own fields, as they stood, and as it left them: other jobs share the archer. */
      readonly archer?: Partial<Archer>;
      readonly archerLeft?: Partial<Archer>;
      readonly job?: Partial<Job>;
      readonly part?: { slot: string; row: StoredPart | null };
      readonly parts?: readonly { slot: string; row: StoredPart | null }[];
      /** Absent where the bow stays. */
      readonly bow?: StoredBow | null;
    }
  | { readonly do: 'dropCurve'; readonly curveId: number; readonly back?: true }
  | { readonly do: 'dropAim'; readonly id: number; readonly back?: true }
  | { readonly do: 'paid'; readonly payment: number; readonly stands: boolean }
  | { readonly do: 'bowTold'; readonly bow: BowRecord }
  | { readonly do: 'shots'; readonly shots: number; readonly comeBackDay: string | null }
  | { readonly do: 'photoKept'; readonly photo: number; readonly kept: boolean }
  | {
      readonly do: 'photoSaid';
      readonly photo: number;
      readonly words: string;
      readonly onRecord: boolean;
    }
  | { readonly do: 'aimReason'; readonly id: number; readonly reason: string }
  | { readonly do: 'withdraw'; readonly exceptionId: number; readonly back?: true }
  | { readonly do: 'acknowledge'; readonly cautionId: string; readonly yes: boolean };

export interface Done {
  readonly summary: string;
  /** The stage it belongs to, where that hangs on what was entered. */
  readonly stage?: Stage | '';
  readonly inverse: Inverse | null;
  /** Whether it hands the bow over, or takes that back. */
  readonly visit?: 'ends' | 'reopens';
  /** Told the number of its own entry once that is written. */
  readonly written?: (eventId: number) => void;
}

export interface Work {
  readonly db: Db;
  readonly snapshot: JobSnapshot;
  readonly who: string;
  readonly at: string;
  /** Where its readings stand among the others, where they come later than they were taken. */
  readonly before: number | null;
  /** Refuses where who makes the entry may not. */
  readonly may: May;
}

export type May = (right: Right) => void;

export const cannot = (reason: string, detail: string, pointer = '/command') =>
  new Problem(422, reason, 'This cannot be done', { detail, errors: [{ pointer, detail }] });

/** What is done at the bow needs one. */
export function bowFor({ snapshot }: Work) {
  if (!snapshot.bow) throw cannot(...NO_BOW);
  return snapshot.bow;
}

/** Somebody else took the last one meanwhile; `ticket` is theirs, null where it was sold. */
export const lastOneGone = (name: string, ticket: number | null, deliveryDays: number) =>
  cannot(
    'just-taken',
    `The last ${name} is gone. ${ticket === null ? 'It was sold' : `It was put aside for ticket ${ticket}`} just now. Ordered, it comes in ${deliveryDays} days.`,
    '/command/fromStock',
  );

export type CommandOf<N extends Command['name']> = Extract<Command, { name: N }>;
export type Handlers = { [N in Command['name']]: (command: CommandOf<N>, work: Work) => Done };

type SomeHandlers = { readonly [N in keyof Handlers]?: Handlers[N] };

/** Handlers of one stage: an entry of another one is not taken back unseen. */
export const ofStage = <const H extends SomeHandlers>(stage: Stage | '', handlers: H): H =>
  Object.fromEntries(
    Object.entries(handlers).map(([name, handle]) => [
      name,
      (command: never, work: Work) => ({ stage, ...(handle as Handlers['undo'])(command, work) }),
    ]),
  ) as unknown as H;

export const spaced = (name: string) =>
  name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

export const pick = <T extends object, K extends keyof T>(
  from: T,
  keys: readonly K[],
): Pick<T, K> => Object.fromEntries(keys.map((key) => [key, from[key]])) as Pick<T, K>;

export function needReason(reason: string): string {
  if (reason.trim().length < 3)
    throw cannot('no-reason', 'Say why, in a few words; it goes on the sheet.', '/command/reason');
  return reason.trim();
}
