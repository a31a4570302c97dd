import type { Command } from '@/contracts/commands';
import type { Job } from '@/core/job';
import type { Right } from '@/core/people';
import type { Inverse } from './types';

/** What an entry asks for besides the right to make entries. */
const SPECIAL = {
  signStep: 'sign',
  acknowledge: 'sign',
  handOver: 'sign',
  takeBackHandover: 'sign',
  closeVisit: 'sign',
  giveQuote: 'price',
  acceptQuote: 'price',
  notePayment: 'price',
  removePayment: 'price',
  chooseService: 'price',
  addExtra: 'price',
  removeExtra: 'price',
  orderBow: 'stock',
  orderPart: 'stock',
} as const satisfies Partial<Record<Command['name'], Right>>;

export const rightOf = (name: Command['name']): Right =>
  (SPECIAL as Partial<Record<Command['name'], Right>>)[name] ?? 'enter';

/** Taking an entry back, or bringing it again, asks for what making it asked for. */
const OF_INVERSE: Partial<Record<Inverse['do'], Right>> = {
  withdraw: 'sign',
  acknowledge: 'sign',
  paid: 'price',
};

const OF_FIELD: Partial<Record<keyof Job, Right>> = {
  extras: 'price',
  accepted: 'price',
  deliveredAt: 'sign',
};

export function rightToTakeBack(inverse: Inverse): Right {
  if (inverse.do === 'restore') {
    const fields = Object.keys(inverse.job ?? {}) as (keyof Job)[];
    return fields.map((field) => OF_FIELD[field]).find(Boolean) ?? 'enter';
  }
  return OF_INVERSE[inverse.do] ?? 'enter';
}
