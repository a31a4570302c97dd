'use client';
import type { BowRecord } from '@/core/bow';
import { latest, REGISTRY, type SetupKey } from '@/core/setup';
import { isQuiet } from '@/core/steady';
import { AgainNote } from '../../job/AgainNote';
import { useJob } from '../../job/JobProvider';
import { Parts } from '../../job/Parts';
import { steadyPart } from '../../job/step-of';
import { useStage } from '../../job/useStage';
import { aimWords, frame, steady as w } from '../../words';
import { grams } from './say';
import { useBalance } from './useBalance';
import css from './SteadyParts.module.css';

type SteadyPart = keyof typeof w.parts;

/** Values of a part: to be taken again they say so there. */
const keysOf = (part: SteadyPart): readonly SetupKey[] =>
  REGISTRY.flatMap(({ key, stage }) =>
    stage === 'steady' && steadyPart(key) === part ? [key] : [],
  );

/** The parts of the stage with what each has brought. */
export function SteadyParts({ current, bow }: { current: SteadyPart; bow: BowRecord }) {
  const { derived, snapshot } = useJob();
  const { href } = useStage();
  const { now, neutral, mounted } = useBalance(bow);
  const mass = latest(derived.history, 'bowMass')?.si ?? null;
  const values: Record<SteadyPart, string | null> = {
    weigh: mass === null ? null : grams(mass),
    reaction:
      neutral.tries.length === 0
        ? null
        : neutral.settled
          ? w.settled(neutral.tries.length)
          : w.tries(neutral.tries.length),
    aim: snapshot.aimed > 0 ? aimWords.shots(snapshot.aimed) : null,
    bars: mounted === null ? null : isQuiet(now.props, neutral) ? w.quiet : grams(now.props.massG),
  };
  const again = (id: SteadyPart) => derived.plan.stale.some(({ key }) => keysOf(id).includes(key));
  return (
    <>
      <Parts
        many
        current={current}
        parts={(Object.keys(w.parts) as SteadyPart[]).map((id) => ({
          id,
          name: w.parts[id],
          href: href('steady', { part: id }),
          value: again(id) ? (
            <span className={css.again}>{frame.againTag}</span>
          ) : (
            (values[id] ?? w.nothing)
          ),
        }))}
      />
      <AgainNote of={keysOf(current)} />
    </>
  );
}
