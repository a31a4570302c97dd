'use client';
import { useState } from 'react';
import {
  DRAW_OFF_ASPECTS,
  isPair,
  newest,
  pairsOf,
  type DrawOff,
  type DrawOffMark,
} from '@/core/bow';
import type { DrawnBow } from '@/core/job';
import { Text } from '../../pieces/Text';
import { Press } from '../../pieces/Press';
import { useJob } from '../../job/JobProvider';
import { drawOff as w } from '../../words';
import { BlockTitle, Rows } from '../../pieces/layout';
import { FieldError } from '../../pieces/texts';
import css from './PairMarks.module.css';

/** Two bows at a time, five short questions; the pair drawn one after the other comes first. */
export function PairMarks({ drawOff, bows }: { drawOff: DrawOff; bows: readonly DrawnBow[] }) {
  const pairs = neighboursFirst(drawOff.bowIds);
  const marks = newest(drawOff.marks);
  const done = ([a, b]: readonly [string, string]) =>
    marks.filter((mark) => isPair(mark, a, b)).length;
  const [chosen, choose] = useState<string | null>(null);
  const open = pairs.find((pair) => done(pair) < DRAW_OFF_ASPECTS.length) ?? pairs[0]!;
  const pair = pairs.find((one) => one.join('|') === chosen) ?? open;
  const [first, second] = pair.map((id) => bows.find((bow) => bow.id === id)!) as [
    DrawnBow,
    DrawnBow,
  ];
  return (
    <section>
      <BlockTitle>{w.pairs}</BlockTitle>
      <div className={css.pairTabs} data-part="pair-tabs" role="group" aria-label={w.pairs}>
        {pairs.map((one) => (
          <Press
            key={one.join('|')}
            type="button"
            aria-pressed={one === pair}
            aria-label={w.pair(
              ...(one.map((id) => 1 + drawOff.bowIds.indexOf(id)) as [number, number]),
            )}
            onClick={() => choose(one.join('|'))}
          >
            {one.map((id) => 1 + drawOff.bowIds.indexOf(id)).join(' : ')}
            <Text variant="small" soft>
              {done(one)}/{DRAW_OFF_ASPECTS.length}
            </Text>
          </Press>
        ))}
      </div>
      <Rows data-part="pair-rows">
        {DRAW_OFF_ASPECTS.map((aspect) => (
          <PairRow
            key={aspect.id}
            aspect={aspect}
            first={first}
            second={second}
            mark={marks.find(
              (mark) => mark.aspect === aspect.id && isPair(mark, first.id, second.id),
            )}
            onMarked={() => choose(pair.join('|'))}
          />
        ))}
      </Rows>
    </section>
  );
}

/** Those drawn one after the other are fresh in hand and asked about first. */
function neighboursFirst(ids: readonly string[]): [string, string][] {
  const near = ([a, b]: readonly [string, string]) => Math.abs(ids.indexOf(a) - ids.indexOf(b));
  return pairsOf(ids).sort((x, y) => near(x) - near(y));
}

function PairRow({
  aspect,
  first,
  second,
  mark,
  onMarked,
}: {
  aspect: (typeof DRAW_OFF_ASPECTS)[number];
  first: DrawnBow;
  second: DrawnBow;
  mark: DrawOffMark | undefined;
  onMarked: () => void;
}) {
  const { send } = useJob();
  const [trouble, setTrouble] = useState('');
  const put = async (better: string | null) => {
    onMarked();
    const answer = await send({
      name: 'markDrawOff',
      aspect: aspect.id,
      first: first.id,
      second: second.id,
      better,
    });
    setTrouble(answer?.message ?? '');
  };
  const options = [
    [first.id, first.short],
    [null, w.alike],
    [second.id, second.short],
  ] as const;
  return (
    <li>
      <span className={css.pairAsk}>{aspect.ask}</span>
      <div className={css.pairChoice} role="group" aria-label={aspect.name}>
        {options.map(([id, name]) => (
          <Press
            key={name}
            type="button"
            aria-pressed={mark !== undefined && mark.better === id}
            onClick={() => void put(id)}
          >
            {name}
          </Press>
        ))}
      </div>
      {trouble && <FieldError>{trouble}</FieldError>}
    </li>
  );
}
