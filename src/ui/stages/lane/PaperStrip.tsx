'use client';
import { movedValues } from '@/core/job';
import { MOVED_BY_PAPER, setupValue, tearWords, writeValue, type Reading } from '@/core/setup';
import { ADJUSTMENTS } from '@/core/tuning';
import { Text } from '../../pieces/Text';
import { PaperDrawing } from '../../drawings/PaperDrawing';
import { whenText } from '../../fields/dates';
import { useJob } from '../../job/JobProvider';
import { lane as w } from '../../words';
import { Discard } from '../../job/Discard';
import { Block } from '../../pieces/layout';
import { Tag } from '../../pieces/texts';
import css from './PaperStrip.module.css';

/** A single paper within this may be a true tear under 4 mm with an archer's scatter on it. */
const GOOD_PAPER_MM = 6;

/** Papers and moves in their order, newest first. */
export function PaperStrip() {
  const { snapshot, derived } = useJob();
  const hand = snapshot.bow?.hand ?? snapshot.archer.hand;
  const moving = new Set(
    ADJUSTMENTS.flatMap((id) =>
      movedValues(id, hand, snapshot.bow?.yokes ?? null).map(({ key }) => key),
    ),
  );
  const rows = [...derived.history.values()]
    .flat()
    .filter(
      ({ key, method }) => key === 'paperTear' || (moving.has(key) && method === MOVED_BY_PAPER),
    )
    .sort((a, b) => b.seq - a.seq);
  return (
    <Block>
      <h3>{w.history}</h3>
      {rows.length === 0 ? (
        <Text soft>{w.noHistory}</Text>
      ) : (
        <ul className={css.papers} data-part="papers">
          {rows.map((reading) =>
            reading.key === 'paperTear' ? (
              <SmallPaper key={reading.seq} reading={reading} />
            ) : (
              <MoveItem key={reading.seq} reading={reading} />
            ),
          )}
        </ul>
      )}
    </Block>
  );
}

function SmallPaper({ reading }: { reading: Reading }) {
  const { snapshot } = useJob();
  const tear = { rightMm: reading.si ?? 0, upMm: reading.si2 ?? 0 };
  const good = Math.hypot(tear.rightMm, tear.upMm) <= GOOD_PAPER_MM;
  return (
    <li>
      <PaperDrawing nock={tear} small />
      <b>{tearWords(tear.rightMm, tear.upMm)}</b>
      <Tag kind={good ? 'in' : 'warn'}>{good ? w.good : w.tearOut}</Tag>
      <Text variant="small" soft>
        {reading.who}, {whenText(reading.at, snapshot.shop.timeZone, snapshot.today)}
      </Text>
      <Discard seq={reading.seq} />
    </li>
  );
}

function MoveItem({ reading }: { reading: Reading }) {
  const { snapshot } = useJob();
  return (
    <li className={css.paperMove}>
      <Text variant="small" soft>
        {setupValue(reading.key).name}
      </Text>
      <Text variant="figure" as="b">
        {writeValue(reading.key, reading.si ?? 0, snapshot.shop.units, true)}
      </Text>
    </li>
  );
}
