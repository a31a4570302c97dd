import { moduleLabel } from '../bow';
import {
  latest,
  sinceLastChange,
  stringResponse,
  targetOf,
  twistPlan,
  writeValue,
  type SetupKey,
} from '../setup';
import { MM_PER_INCH, write } from '../units';
import { fresh, speedMove, type Ground, type Said } from './action-ground';

/** Module first, the rest by twists of the string; what nobody twists is said as it is. */
export function lengthAction(ground: Ground): Said {
  const { snapshot, derived } = ground;
  const { bow, shop } = snapshot;
  const { context, history } = derived;
  const { units } = shop;
  const say: string[] = [];
  const moves: string[] = [];
  const cams = bow!.moduleCams.map((cam) =>
    cam === 'top' ? ('moduleTop' as const) : ('moduleBottom' as const),
  );
  const step = bow!.modules.length > 0 ? context.moduleStepMm : null;
  const stands = cams.map((key) => latest(history, key)?.si ?? null);
  const length = fresh('drawLength', ground);
  if (step !== null && stands.some((at) => at === null || Math.abs(at - step) > 0.5)) {
    const label = moduleLabel(bow!, step);
    say.push(
      `Module to ${label === null ? '' : `${label} = `}${write(step, 'length', units)}${cams.length > 1 ? ', the same on both cams' : ''}`,
    );
    const from = stands[0] ?? null;
    if (from !== null && length !== null) {
      moves.push(`draw length by about ${write(step - from, 'length', units, { signed: true })}`);
      moves.push(...speedMove(ground, 'perHalfInchMps', (step - from) / (MM_PER_INCH / 2)));
    }
  }
  const twists = targetOf('stringTwists', context);
  const plan = twistPlan(context, (of, others) =>
    sinceLastChange(history, of as SetupKey, others as readonly SetupKey[]),
  );
  const tooFar = plan?.tooFar === true;
  const more =
    twists === null || tooFar ? 0 : twists.si - (latest(history, 'stringTwists')?.si ?? 0);
  const { perTwistMm, sigmaMm } = stringResponse(history);
  // What nobody twists is said as it is, and nothing is put in for it.
  if (twists !== null && tooFar && say.length === 0) say.push(twists.reason);
  if (twists !== null && Math.abs(more) >= 0.5) {
    const count = writeValue('stringTwists', Math.abs(more), units).replace(/^\+/, '');
    say.push(`${more > 0 ? 'Put in' : 'Take out'} ${count} of the string. ${twists.reason}`);
    const by = write(Math.abs(more * perTwistMm), 'length', { ...units, length: 'mm' });
    const sure = write(Math.abs(more) * sigmaMm, 'length', { ...units, length: 'mm' });
    moves.push(
      length === null
        ? `draw length about ${by} ${more > 0 ? 'shorter' : 'longer'} (± ${sure})`
        : `draw length to about ${write(length + more * perTwistMm, 'length', units)} (± ${sure})`,
    );
    moves.push('weight, timing and brace height a little; the peep with the string');
  }
  return {
    id: 'length',
    title: 'Draw length',
    keys: [...(step === null ? [] : cams), 'stringTwists', 'drawLength'],
    say,
    moves,
    press: say.length > 0 && Math.abs(more) >= 0.5,
  };
}
