'use client';
import { holdCompare, type AimShot, type aimTopic, type HoldTrace } from '@/core/hold';
import { Block, Verdict } from '../../pieces/layout';
import { Text } from '../../pieces/Text';
import { Note } from '../../pieces/texts';
import { aimWords as w } from '../../words';

/** Two ways held against each other: a difference, or none shown, both with how sure. */
export function AimCompare({
  topic,
  counted,
}: {
  topic: NonNullable<ReturnType<typeof aimTopic>>;
  counted: readonly (AimShot & { readonly result: HoldTrace })[];
}) {
  const [first, second] = topic.ways;
  if (!second) return null;
  const of = (way: string) =>
    counted.flatMap((shot) => (shot.way === way ? [shot.result.hold.rmsMrad as number] : []));
  const [a, b] = [of(first[0]), of(second[0])];
  const found = holdCompare({ a, b });
  const say = (value: number) => `${value < 0 ? '−' : ''}${Math.abs(value).toFixed(2)}`;
  return (
    <Block data-part="aim-compare">
      <h3>{w.compare}</h3>
      {a.length < 2 || b.length < 2 ? (
        <Text soft>{w.needTwo(a.length, b.length)}</Text>
      ) : !found.ok ? (
        <Note>{found.message}</Note>
      ) : (
        <>
          <Verdict>
            <b data-verdict={found.verdict}>{w.verdict[found.verdict](second[1], first[1])}</b>{' '}
            {w.means(first[1], say(found.meanA), second[1], say(found.meanB))}
          </Verdict>
          <p>
            {w.interval(say(found.interval95[0]), say(found.interval95[1]))}{' '}
            {w.chance(found.pValue)}.
          </p>
          <Text soft>
            {w.needed(found.shotsNeeded, Math.min(a.length, b.length))}{' '}
            {found.verdict === 'notShown' && w.full}
          </Text>
        </>
      )}
    </Block>
  );
}
