import type { TurnMove } from '@/core/fit';
import { Text } from '../../pieces/Text';
import { WithFractions } from '../../fields/Figure';
import { bow as w } from '../../words';
import { Note } from '../../pieces/texts';
import { Rows } from '../../pieces/layout';
import css from './TurningPlan.module.css';

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
    return <Note kind={reached ? 'good' : undefined}>{reached ? w.planDone : w.planEnd}</Note>;
  }
  // Every pause has both limbs turned alike; one line says both.
  const pauses = moves.filter((move) => move.limb === 'upper');
  const move = ({ turns }: TurnMove) =>
    turns > 0 ? w.turnsOut(say(turns)) : w.turnsIn(say(-turns));
  return (
    <Rows as="ol" className={css.planRows} data-part="plan-rows">
      {pauses.map((pause, i) => (
        <li key={i}>
          <Text soft as="span">
            {i + 1}
          </Text>
          <span>{w.upperThenLower}</span>
          <Text variant="figure" as="b">
            <WithFractions text={move(pause)} />
          </Text>
        </li>
      ))}
      <li>
        <Text soft as="span">
          {pauses.length + 1}
        </Text>
        <span>{w.thenWeigh}</span>
      </li>
    </Rows>
  );
}
