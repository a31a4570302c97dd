import type { Command } from '@/contracts/commands';
import { OWN_BOW_ID } from '@/core/bow';
import { notDrawn, type JobSnapshot } from '@/core/job';
import { AIM } from './aim';
import { STEADY } from './steady';
import { cannot } from './types';

/** What is drawn or signed besides the readings, of which the core says it. */
const DRAWN: ReadonlySet<string> = new Set([
  ...[STEADY, AIM].flatMap((handlers) => Object.keys(handlers)),
  'keepCurve',
  'handOver',
]);

/** Nothing is drawn, pressed or turned on a bow from elsewhere before it was looked over and is sound. */
export function refuseUnlooked(command: Command, { job }: JobSnapshot): void {
  const why = notDrawn(job);
  if (!why) return;
  const drawsOwn = command.name === 'startDrawOff' && command.bowIds.includes(OWN_BOW_ID);
  if (DRAWN.has(command.name) || drawsOwn) throw cannot(why.reason, why.message);
}
