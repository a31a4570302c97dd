import { EYE_HANDLINGS, OLD_BOW } from '../fit';
import { fitKeyName, postureLooks, RELEASE_NAMES, type JobDerived, type JobSnapshot } from '../job';
import { write } from '../units';

const SEEN = {
  right: 'a draw that fits',
  shorter: 'a draw too long',
  longer: 'a draw too short',
  mixed: 'signs both ways',
} as const;

/** What of the fit is more than a number, one sentence each: eye, release, full draw, old bow, law. */
export function fitNotes(snapshot: JobSnapshot, { posture }: JobDerived): string[] {
  const { archer, fitReadings, job, shop } = snapshot;
  const notes: string[] = [];
  const way = EYE_HANDLINGS.find(({ id }) => id === archer.eyeHandling);
  if (way && archer.dominantEye !== archer.hand)
    notes.push(`${archer.hand} hand, ${archer.dominantEye} eye: ${way.name.toLowerCase()}`);
  if (archer.release !== 'unknown' || archer.wall === 'firm' || archer.wall === 'soft')
    notes.push(
      [
        archer.release === 'unknown' ? '' : `Release: ${RELEASE_NAMES[archer.release]}`,
        archer.wall === 'firm' || archer.wall === 'soft' ? `${archer.wall} wall liked` : '',
      ]
        .filter(Boolean)
        .join(', '),
    );
  const { drawnMm } = postureLooks(fitReadings);
  if (posture.asks !== 'nothing' && drawnMm !== null)
    notes.push(
      `At full draw, ${write(drawnMm, 'length', shop.units)}, the eye saw ${SEEN[posture.asks]}`,
    );
  const old = OLD_BOW.flatMap(({ key }) => {
    const reading = fitReadings.findLast((entry) => entry.key === key);
    return reading
      ? [`${fitKeyName(key).replace(' of the old bow', '').toLowerCase()} ${reading.entered}`]
      : [];
  });
  if (old.length > 0) notes.push(`The old bow: ${old.join(', ')}`);
  if (job.legalMinimumN !== null)
    notes.push(
      `Legal least weight as the archer states it: ${write(job.legalMinimumN, 'force', shop.units, { decimals: 0 })}${job.legalPlace ? `, ${job.legalPlace}` : ''}`,
    );
  return notes;
}
