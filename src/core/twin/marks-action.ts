import { confirmedShots } from '../job';
import { latest } from '../setup';
import { write } from '../units';
import type { Ground, Said } from './action-ground';
import { twinMarks } from './marks';

/** Marks stand at the end: everything above moves them. */
export function marksAction({ snapshot, derived }: Ground): Said | null {
  const { like } = snapshot.job;
  if (!like?.marks) return null;
  const marks = twinMarks(snapshot, derived);
  const { units } = snapshot.shop;
  const base = {
    id: 'marks' as const,
    title: 'Marks',
    keys: ['firstMark'] as const,
    press: false,
  };
  const first = write(like.marks.firstM, 'distance', units, { decimals: 0 });
  // Shot at the first distance and at another, or pins and tape set by what was shot.
  const settled =
    latest(derived.history, 'firstMark') !== null &&
    (confirmedShots(derived).length > 1 ||
      latest(derived.history, 'tape') !== null ||
      latest(derived.history, 'pins') !== null);
  if (settled) return { ...base, say: [], moves: [] };
  return {
    ...base,
    say: [
      marks === null
        ? `The model does not say what its marks were made from: shoot ${first} in, then the far one`
        : `Carried over by the flight model and predictions until shot: settle ${first} first, then the far one`,
    ],
    moves: [],
  };
}
