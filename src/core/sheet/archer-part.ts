import { HOLD_TEST, isChild } from '../fit';
import { injuryNow, jobGrowth, type JobDerived, type JobSnapshot } from '../job';
import { addDays, newton, write } from '../units';
import type { SheetDocument } from './sheet-document';
import { measuredPeakN } from './record-part';

/** Days until the archer is asked back. */
const COME_BACK_DAYS = 14;

/** What falls due after a bow left, in days; whichever of days and shots comes first. Shop rule. */
const CARE: readonly { readonly days: number; readonly text: string }[] = [
  {
    days: COME_BACK_DAYS,
    text: 'Second visit: strings have settled; peep, brace height, axles, timing, weight, sight and every screw are looked at.',
  },
  {
    days: 30,
    text: 'And every month: wax the string where it is dry, not on the servings; look at limbs, cams and servings in good light.',
  },
  {
    days: 90,
    text: 'Or after 300 shots: have servings, cord, loop and peep looked at in the shop.',
  },
  {
    days: 365,
    text: 'And every year: axles, bolts and pockets looked at in the shop; arrows bent gently and listened to, one by one.',
  },
  {
    days: 730,
    text: 'Or sooner where a strand is broken: string and cables renewed, as the maker’s manual says.',
  },
];

/** Calendar of what to look after, from the day of the handover; after a visit strings have settled. */
export const carePart = (madeDay: string, isVisit = false): SheetDocument['care'] =>
  CARE.slice(isVisit ? 1 : 0).map(({ days, text }) => ({ day: addDays(madeDay, days), text }));

/** Short and often: how to begin, by what the archer brings along. Shop rule. */
export function practicePart({ archer }: JobSnapshot, derived: JobDerived): string[] {
  const child = isChild(archer.ageBand);
  const learns = archer.experience === 'none' || child;
  const [arrows, minutes] = child ? [12, 10] : learns ? [18, 15] : [30, 20];
  return [
    `Short and often: ${minutes} minutes and about ${arrows} arrows on four or five days a week do more than ${arrows * 5} on one.`,
    learns
      ? 'First two weeks at five to ten metres on a large butt, without a face: draw, anchor, settle, let the release go.'
      : 'First week at half the usual distance: anchor, peep and the new wall until they come by themselves.',
    'Then the first distance of this sheet; five metres more only when a group stays inside a hand.',
    'Every session begins with one slow draw, held and let down; it ends while it still goes well. Tired arms learn the wrong thing.',
    ...(injuryNow(archer) === 'no'
      ? []
      : ['What was hurt sets the pace: at the first pain it is over for the day.']),
    ...(archer.minor ? ['A grown-up who knows the rules stands beside.'] : []),
    ...(measuredPeakN(derived) === null
      ? ['The weight was not weighed at handover: no bolt is turned before it was.']
      : []),
  ];
}

/** Weights to grow into from the weight as it was weighed; null where it is not known or at its top. */
export function growthPart(
  snapshot: JobSnapshot,
  derived: JobDerived,
  madeDay: string,
): SheetDocument['growth'] {
  const { bow, job, shop } = snapshot;
  const peakN = measuredPeakN(derived);
  if (!bow || peakN === null || bow.maxTurns === null) return null;
  const { steps, testN, isStrained } = jobGrowth(
    { ...snapshot, job: { ...job, promisedDay: madeDay } },
    bow,
    newton(peakN),
  );
  if (steps.length === 0) return null;
  const end = isStrained
    ? ` The plan ends at ${write(testN, 'force', shop.units, { decimals: 0 })}: more was hard to draw.`
    : '';
  return { steps: [...steps], test: `Before each step, in the shop: ${HOLD_TEST}.${end}` };
}
