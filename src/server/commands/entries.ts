import { taken, type Adding, type EntryRow, type Taken } from '@/core/entries';
import { jobsOfSerial } from '@/data/register';
import { appendRows } from '../take-readings';
import { cannot, type CommandOf, type Done, type Handlers, type Work } from './types';

/** Writes what an entry adds, and says how it is taken back. */
export function keepTaken(
  { stage, summary, rows }: Taken,
  { db, snapshot, who, at, before }: Work,
): Done {
  const seqs = appendRows(db, rows, { jobId: snapshot.job.id, who, at, before });
  return { stage, summary, inverse: { do: 'retract', seqs } };
}

/** What an entry adds to the job as it stands; refused with its field. */
function looked<N extends Adding>(name: N, command: CommandOf<N>, { snapshot }: Work): Taken {
  const answer = taken(name, command as Parameters<typeof taken<N>>[1], snapshot);
  if (!answer.ok) throw cannot(answer.reason, answer.message, `/command${answer.field ?? ''}`);
  return answer;
}

const adds =
  <N extends Adding>(name: N) =>
  (command: CommandOf<N>, work: Work): Done =>
    keepTaken(looked(name, command, work), work);

/** Entries that only add readings: what they come to is said by the core. */
export const ENTRIES = {
  takeReadings(command, work) {
    const entry = looked('takeReadings', command, work);
    entry.rows.forEach((row) => refuseTwice(row, command, work));
    return keepTaken(entry, work);
  },
  confirmReadings: adds('confirmReadings'),
  discardReading: adds('discardReading'),
  takeTear: adds('takeTear'),
  movePaper: adds('movePaper'),
  takeBareShaft: adds('takeBareShaft'),
  takeWalkBack: adds('takeWalkBack'),
  takeSpeeds: adds('takeSpeeds'),
  takeGroup: adds('takeGroup'),
  takeMark: adds('takeMark'),
  takeReaction: adds('takeReaction'),
  takeHang: adds('takeHang'),
} satisfies Partial<Handlers>;

/** A number is of one bow: a bow of the shop cannot have that of one that left. */
function refuseTwice(
  { key, choice }: EntryRow,
  { readings }: CommandOf<'takeReadings'>,
  { db, snapshot }: Work,
): void {
  if (key !== 'serialNumber' || !choice || snapshot.job.elsewhere) return;
  const other = jobsOfSerial(db, choice).find(({ jobId }) => jobId !== snapshot.job.id);
  if (other)
    throw cannot(
      'serial-twice',
      `The bow no. ${choice} left the shop with ticket ${other.number}. Read the number once more; a bow that comes back is opened there, one that changed hands is taken in as the archer’s own.`,
      `/command/readings/${readings.findIndex((entry) => entry.key === key)}/entered`,
    );
}
