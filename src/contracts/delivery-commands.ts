import { Type } from '@sinclair/typebox';
import { VISIT_KINDS } from '@/core/job';
import { command, NullOr, OneOf, Text } from './lane-commands';

/** Strokes of a signature as they were drawn: x and y in turn, whole pixels. */
export interface Drawn {
  readonly width: number;
  readonly height: number;
  readonly strokes: readonly (readonly number[])[];
}

const Pixels = Type.Integer({ minimum: 0, maximum: 4000 });

export const Signature = NullOr<Drawn>({
  type: 'object',
  additionalProperties: false,
  required: ['width', 'height', 'strokes'],
  properties: {
    width: { type: 'integer', minimum: 50, maximum: 4000 },
    height: { type: 'integer', minimum: 20, maximum: 4000 },
    strokes: {
      type: 'array',
      minItems: 1,
      maxItems: 200,
      items: { type: 'array', minItems: 2, maxItems: 4000, items: Pixels },
    },
  },
});

/** What is done with bill and money; amounts are sent as typed. */
export const DELIVERY_COMMANDS = [
  command('addExtra', { text: Text(120), entered: Text(40) }),
  command('removeExtra', { id: Text(60) }),
  command('acceptQuote', { revision: Type.Integer({ minimum: 1, maximum: 999_999 }) }),
  command('notePayment', {
    kind: OneOf('deposit', 'rest', 'back'),
    way: OneOf('cash', 'card', 'transfer'),
    entered: Text(40),
  }),
  /** A bow that left comes back. */
  command('openVisit', { kind: OneOf(...VISIT_KINDS.map(({ id }) => id)), words: Text(300) }),
  command('reportShots', { entered: Text(40) }),
  command('closeVisit', { reason: Text(200) }),
  command('removePayment', { payment: Type.Integer({ minimum: 1 }) }),
] as const;
