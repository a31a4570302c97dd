import { spokenDay } from '../units';
import { remeasureDay } from './archer-age';
import { injuryNow } from './conversation';
import type { JobSnapshot } from './types';

interface Caution {
  readonly id: string;
  readonly text: string;
}

/** Told to every archer at handover, and said yes to one by one. */
export const HANDOVER_CAUTIONS: readonly Caution[] = [
  {
    id: 'dryFire',
    text: 'Never let the string go without an arrow: a dry fire can break the bow and hurt.',
  },
  {
    id: 'drawSafely',
    text: 'Draw only with a release, an arrow on the string and a safe target in front; never with the fingers alone.',
  },
  {
    id: 'limbBolts',
    text: 'Limb bolts never past the limit of turns on the sheet; a press is needed for strings and cables.',
  },
  { id: 'sling', text: 'Wrist sling on, grip loose: do not catch the bow.' },
  {
    id: 'look',
    text: 'Before shooting: look at limbs, bolts, string, cables and servings. After a few hundred shots, have it looked at.',
  },
  {
    id: 'law',
    text: 'Where and how a bow may be shot or used to hunt is a matter of local law; the maker’s manual comes first.',
  },
  {
    id: 'comeBack',
    text: 'Come back in about two weeks: strings settle, the peep turns, the sight follows.',
  },
];

/** What to watch on the way, by what is known of the archer. */
export function archerCautions({ archer, job, fitReadings }: JobSnapshot): Caution[] {
  const list: Caution[] = [];
  const words = archer.injury.trim();
  if (archer.minor) {
    list.push({
      id: 'minor',
      text: `A minor: ${archer.guardianName || 'the guardian'} decides, and is there when the bow is drawn.`,
    });
  }
  const again = remeasureDay(archer, fitReadings);
  if (again !== null) {
    list.push({
      id: 'grows',
      text: `Growing: the draw length is measured again by ${spokenDay(again)}.`,
    });
  }
  if (injuryNow(archer) !== 'no') {
    list.push({
      id: 'injury',
      text:
        archer.injured === 'healed'
          ? `Healed${words && `: ${words}`}. Start low, watch the side that was hurt, stop at the first pain.`
          : `Injury told${words && `: ${words}`}. Start lower, stop at the first pain; their doctor decides.`,
    });
  }
  if (archer.dominantEye !== 'unsure' && archer.dominantEye !== archer.hand) {
    list.push({
      id: 'eye',
      text: `${archer.hand === 'right' ? 'Right' : 'Left'} hand but ${archer.dominantEye} eye: talk about the other hand, or closing the eye.`,
    });
  }
  if (job.purpose === 'hunting') {
    list.push({
      id: 'legal',
      text: 'Legal least weight for hunting is set by the authority where they hunt; ask the archer for the figure.',
    });
  }
  return list;
}
