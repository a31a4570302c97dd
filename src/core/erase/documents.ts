import type { Archer, Job } from '../job';
import { deepWithoutNames, ERASED } from './words';

/** The names a person stands under in the shop: their own and their guardian's. */
export const namesOf = ({
  name,
  guardianName,
}: Pick<Archer, 'name' | 'guardianName'>): readonly string[] =>
  [name, guardianName].filter((one) => one.trim() !== '');

/**
 * A person without what tells who they are. What the bow was made by stays: hand and eye, release and wall, and how
 * old they roughly were, on which weights rest.
 */
export const erasedArcher = (archer: Archer): Archer => ({
  ...archer,
  name: ERASED,
  phone: '',
  email: '',
  guardianName: '',
  guardianPhone: '',
  birthDay: null,
  injured: 'unknown',
  injury: '',
  eyesight: '',
});

/** A job without its free words about the person, and asked for by nobody any more. */
export const erasedJob = (job: Job, names: readonly string[]): Job => ({
  ...job,
  notes: '',
  alreadyOwn: '',
  legalPlace: '',
  promisedDay: null,
  appointmentAt: null,
  comeBackDay: null,
  bowReason: deepWithoutNames(job.bowReason, names),
  moduleReason: deepWithoutNames(job.moduleReason, names),
  peakReason: deepWithoutNames(job.peakReason, names),
  extras: deepWithoutNames(job.extras, names),
  visit: job.visit && { ...job.visit, words: '' },
  closed: job.closed && { ...job.closed, why: '' },
  elsewhere: deepWithoutNames(job.elsewhere, names),
});

/** A document of a shop, of whatever version: what is known of it is what every version has. */
type Document = Readonly<Record<string, unknown>>;

const within = (document: Document, key: string, change: Document): Document =>
  typeof document[key] === 'object' && document[key] !== null
    ? { [key]: { ...document[key], ...change } }
    : {};

/**
 * A build sheet of any version without the person: every setting, part and mark stays; name, guardian, signature,
 * photographs and what was told go.
 */
export const sheetWithoutPerson = (document: Document, names: readonly string[]): Document => {
  const bare = deepWithoutNames(document, names);
  return {
    ...bare,
    ...within(bare, 'archer', { name: ERASED, guardianName: null }),
    ...within(bare, 'visit', { words: '' }),
    ...('signature' in bare ? { signature: null } : {}),
    ...('photos' in bare ? { photos: [] } : {}),
  };
};

/** A quote without the person: lines and sums stay. */
export const quoteWithoutPerson = (document: Document, names: readonly string[]): Document => {
  const bare = deepWithoutNames(document, names);
  return { ...bare, ...within(bare, 'archer', { name: ERASED }) };
};
