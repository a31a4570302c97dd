import { AIM_TOPICS, countedShots, type AimShot } from '../hold';
import { photoAboutText, type JobDerived, type JobSnapshot } from '../job';
import { mean } from '../numerics';
import {
  CONFIRMED,
  isTaken,
  MOVED_BY_PAPER,
  readingText,
  setupValue,
  tearWords,
  writeValue,
  type Reading,
} from '../setup';
import type { ShopUnits } from '../units';
import type { SheetPaper, SheetPhoto, SheetReading } from './sheet-document';

/** What is read and typed needs no word: nearly all of it is. */
const HOW_TAKEN: Readonly<Record<string, string>> = {
  [CONFIRMED]: 'looked at again, still so',
  [MOVED_BY_PAPER]: 'moved as the paper asked',
  group: 'from the hits',
  device: 'from a device',
  typed: '',
};

const inOrder = ({ readings }: JobSnapshot) =>
  [...readings].filter(({ key }) => isTaken(key)).sort((a, b) => a.seq - b.seq);

/** Every reading in its order, ticks too: what, how, who, when. */
export const recordPart = (snapshot: JobSnapshot): SheetReading[] =>
  inOrder(snapshot).map((reading) => ({
    key: reading.key,
    name: setupValue(reading.key).name,
    text: readingText(reading, snapshot.shop.units),
    how: HOW_TAKEN[reading.method] ?? reading.method,
    who: reading.who,
    at: reading.at,
  }));

/** What a move by the paper changed: "Centre shot to 20.1 mm". */
const moveText = (reading: Reading, units: ShopUnits) =>
  reading.si === null
    ? setupValue(reading.key).name
    : `${setupValue(reading.key).name} to ${writeValue(reading.key, reading.si, units)}`;

/** Papers one after another, each with what was moved since the one before. */
export function papersPart(snapshot: JobSnapshot): SheetPaper[] {
  const papers: SheetPaper[] = [];
  let moved: string[] = [];
  for (const reading of inOrder(snapshot)) {
    if (reading.method === MOVED_BY_PAPER) moved.push(moveText(reading, snapshot.shop.units));
    if (reading.key !== 'paperTear' || reading.method === CONFIRMED) continue;
    const [rightMm, upMm] = [reading.si ?? 0, reading.si2 ?? 0];
    papers.push({
      rightMm,
      upMm,
      text: tearWords(rightMm, upMm),
      moved: moved.length > 0 ? moved.join(', ') : null,
    });
    moved = [];
  }
  return papers;
}

/** What was seen of the aim: shots and mean radius of each way, by what was asked. */
export function aimPart(aims: readonly AimShot[]): string[] {
  return AIM_TOPICS.flatMap((topic) => {
    const shots = countedShots(aims, topic.id);
    return topic.ways.flatMap(([id, name]) => {
      const own = shots.filter(({ way }) => way === id);
      if (own.length === 0) return [];
      const rms = mean(own.map(({ result }) => result.hold.rmsMrad));
      const count = `${own.length} ${own.length === 1 ? 'shot' : 'shots'}`;
      return [`${topic.name}, ${name}: ${count}, radius ${rms.toFixed(2)} mrad on average`];
    });
  });
}

/** Photographs chosen for the record. */
export const photosPart = ({ photos }: JobSnapshot): SheetPhoto[] =>
  photos
    .filter(({ onRecord }) => onRecord)
    .map(({ id, about, words, width, height }) => ({
      id,
      text: [photoAboutText(about), words].filter(Boolean).join(': '),
      width,
      height,
    }));

/** Whether what the bow is now is measured: the reading the archer is told of. */
export const measuredPeakN = ({ history }: Pick<JobDerived, 'history'>) =>
  history.get('peakWeight')?.at(-1)?.si ?? null;
