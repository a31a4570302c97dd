import type { Command } from '@/contracts/commands';
import { OWN_BOW_ID } from '@/core/bow';
import { notDrawn, READ_AT_REST, type JobSnapshot } from '@/core/job';
import { isPartKey, isSetupKey } from '@/core/setup';
import { AIM } from './aim';
import { LANE } from './lane';
import { MARKS } from './marks';
import { STEADY } from './steady';
import { cannot } from './types';

/** What is shot, drawn or signed. */
const DRAWN: ReadonlySet<string> = new Set([
  ...[LANE, MARKS, STEADY, AIM].flatMap((handlers) => Object.keys(handlers)),
  'keepCurve',
  'handOver',
]);

const atRest: ReadonlySet<string> = new Set(READ_AT_REST);

const isWork = (key: string) => isSetupKey(key) && !isPartKey(key) && !atRest.has(key);

/** Nothing is drawn, pressed or turned on a bow from elsewhere before it was looked over and is sound. */
export function refuseUnlooked(command: Command, { job }: JobSnapshot): void {
  const why = notDrawn(job);
  if (!why) return;
  const keys =
    command.name === 'takeReadings'
      ? command.readings.map(({ key }) => key)
      : command.name === 'confirmReadings'
        ? command.keys
        : [];
  const drawsOwn = command.name === 'startDrawOff' && command.bowIds.includes(OWN_BOW_ID);
  if (DRAWN.has(command.name) || drawsOwn || keys.some(isWork))
    throw cannot(why.reason, why.message);
}
