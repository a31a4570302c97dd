import type { TurnMove } from '@/core/fit';
import { WithFractions } from '../../fields/Figure';
import { bow as w } from '../../words';

/** Pauses at which both bolts stand alike: upper, lower, and at the end the scale. */
export function TurningPlan({
  moves,
  say,
  reached,
}: {
  moves: readonly TurnMove[];
  say: (turns: number) => string;
  /** False where the bow cannot be set to the target: then the plan's end is not "on target". */
  reached: boolean;
}) {
  if (moves.length === 0) {
    return (
      <p className="note" data-kind={reached ? 'good' : undefined}>
        {reached ? w.planDone : w.planEnd}
      </p>
    );
  }
  // Every pause has both limbs turned alike; one line says both.
  const pauses = moves.filter((move) => move.limb === 'upper');
  const move = ({ turns }: TurnMove) =>
    turns > 0 ? w.turnsOut(say(turns)) : w.turnsIn(say(-turns));
  return (
    <ol className="rows plan-rows">
      {pauses.map((pause, i) => (
        <li key={i}>
          <span className="soft">{i + 1}</span>
          <span>{w.upperThenLower}</span>
          <b className="figure">
            <WithFractions text={move(pause)} />
          </b>
        </li>
      ))}
      <li>
        <span className="soft">{pauses.length + 1}</span>
        <span>{w.thenWeigh}</span>
      </li>
    </ol>
  );
}
