/** Which eye kept the target in the hole between the hands. */
export type EyeSeen = 'right' | 'left' | 'unsure';

export const EYE_TEST_TRIES = 3;

/** Said to the archer, one after another. */
export const EYE_TEST_STEPS: readonly string[] = [
  'Both eyes open, arms out, hands laid over each other so that a small hole is left between them.',
  'Look through the hole at one small thing across the shop, and keep it in sight.',
  'Bring the hands slowly back to the face, the thing still in sight: they come to one eye.',
  'Or close one eye after the other: the eye that still sees it is the one that aims.',
];

interface EyeTestResult {
  readonly eye: EyeSeen;
  readonly tries: number;
  readonly agree: number;
  /** Whether the tries made so far settle it: two alike. */
  readonly settled: boolean;
}

/** Two of the last three tries alike settle it; no answer before that. */
export function eyeTestResult(tries: readonly EyeSeen[]): EyeTestResult {
  const last = tries.slice(-EYE_TEST_TRIES);
  const of = (eye: EyeSeen) => last.filter((seen) => seen === eye).length;
  const eye = of('right') >= 2 ? 'right' : of('left') >= 2 ? 'left' : 'unsure';
  return { eye, tries: last.length, agree: of(eye), settled: eye !== 'unsure' };
}

/** What is done about a hand and an eye that do not match. */
export type EyeHandling = 'open' | 'otherHand' | 'closeEye' | 'cover' | 'train';

export const EYE_HANDLINGS: readonly {
  readonly id: Exclude<EyeHandling, 'open'>;
  readonly name: string;
  readonly text: string;
  readonly then: string;
}[] = [
  {
    id: 'otherHand',
    name: 'Shoot from the eye’s side',
    text: 'The usual way for somebody new: the eye that aims decides, the hand learns.',
    then: 'Bows of the other hand are looked for from now on.',
  },
  {
    id: 'closeEye',
    name: 'Close or squint the other eye',
    text: 'Both hands stay as they are; tires, and costs light and width of view.',
    then: 'The peep is set with one eye shut.',
  },
  {
    id: 'cover',
    name: 'Cover the other eye',
    text: 'A patch, a blind at the cap or a strip of tape on the glasses; both eyes stay open.',
    then: 'It has to be on whenever peep and sight are set.',
  },
  {
    id: 'train',
    name: 'Leave it, both eyes open',
    text: 'Only where the archer has always shot so and hits; looked at again on the lane.',
    then: 'Groups off to the side of the aiming eye are its sign.',
  },
];
