'use client';
import Link from 'next/link';
import type { TwinAction } from '@/core/twin';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { whereTaken } from '../../job/step-of';
import { useStage } from '../../job/useStage';
import { Block } from '../../pieces/layout';
import { Tag } from '../../pieces/texts';
import { Text } from '../../pieces/Text';
import { like as w } from '../../words';
import css from './TwinActions.module.css';

const KIND = { same: 'in', off: 'out', open: 'plain' } as const;

/** What makes the bow like its model, in order, each with its numbers, what it moves, and the way to it. */
export function TwinActions({ actions }: { actions: readonly TwinAction[] }) {
  if (actions.length === 0) return null;
  return (
    <Block>
      <h3>{w.order}</h3>
      <ol className={css.actions} data-part="twin-actions">
        {actions.map((action) => (
          <One key={action.id} action={action} />
        ))}
      </ol>
    </Block>
  );
}

function One({
  action: { id, title, keys, state, say, moves, again, press },
}: {
  action: TwinAction;
}) {
  const { derived } = useJob();
  const { href } = useStage();
  const { history, plan } = derived;
  // To what was not read yet; where all was, to the first of them.
  const next = keys.find((key) => !history.has(key)) ?? keys[0]!;
  const place = whereTaken(next, plan.steps) ?? whereTaken(keys[0]!, plan.steps);
  return (
    <li data-action={id} data-state={state}>
      <div className={css.what}>
        <b>{title}</b> <Tag kind={KIND[state]}>{w.states[state]}</Tag>{' '}
        {press && <Tag kind="waits">{w.inPress}</Tag>}
        {say.map((line) => (
          <p key={line}>
            <WithFractions text={line} />
          </p>
        ))}
        {moves.length > 0 && (
          <Text soft>
            <WithFractions text={w.besides(moves.join('; '))} />
          </Text>
        )}
        {again.length > 0 && <Text soft>{w.again(again.join(', '))}</Text>}
      </div>
      {state !== 'same' && place && (
        <Link href={href(place[0], place[1])} prefetch={false}>
          {w.do}
        </Link>
      )}
    </li>
  );
}
