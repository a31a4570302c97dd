import { Type, type Static } from '@sinclair/typebox';
import { OneOf, strict } from './lane-commands';

/** Nothing waits longer than this: who made it would not be known any more. */
const LONGEST_WAIT_DAYS = 30;

/** How far the job stood for whoever made an entry. */
const Seen = {
  version: Type.Integer({ minimum: 1 }),
  /** Number of the newest reading; 0 before the first. */
  seq: Type.Number({ minimum: 0 }),
};

/** Of an entry that was made without a connection and is sent when there is one again. */
export const Waited = Type.Object(
  {
    /** Of the session it was made in, as the page was given it. */
    mark: Type.String({ minLength: 20, maxLength: 100, pattern: '^[\\w-]+$' }),
    /** How long ago, by the tablet’s own clock; left out where that clock was set back since. */
    ageS: Type.Optional(Type.Number({ minimum: 0, maximum: LONGEST_WAIT_DAYS * 86_400 })),
    /** The bow it was made with; another one meanwhile is asked about. */
    saw: Type.Object(
      { ...Seen, bowId: Type.Union([Type.String({ maxLength: 60 }), Type.Null()]) },
      strict,
    ),
    /** Where it met another one: what was answered, and how far the job stood then. */
    asked: Type.Optional(Type.Object({ ...Seen, counts: OneOf('this', 'theirs', 'now') }, strict)),
  },
  strict,
);
export type Waited = Static<typeof Waited>;

/** Two entries that say different things of one value. */
export interface Meet {
  readonly name: string;
  readonly mine: string;
  readonly theirs: string;
  readonly who: string;
  readonly at: string;
}
