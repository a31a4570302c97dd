import type { BowRecord } from '@/core/bow';
import { HOLD_TEST } from '@/core/fit';
import { jobGrowth } from '@/core/job';
import { N_PER_POUND, spoken, write } from '@/core/units';
import { plainDay } from '../../fields/dates';
import { useJob } from '../../job/JobProvider';
import { BlockTitle, Rows } from '../../pieces/layout';
import { Text } from '../../pieces/Text';
import { fit as w } from '../../words';
import css from './DrawWeight.module.css';

/** What the bow leaves room for: holding weight now, and two pounds a fortnight from handover on. */
export function Growth({ bow }: { bow: BowRecord }) {
  const { snapshot, derived } = useJob();
  const { shop } = snapshot;
  const peakN = derived.context.peakTargetN;
  if (peakN === null) return null;
  const say = (n: number) => write(n, 'force', shop.units, { decimals: 0 });
  const { steps, isChild, testN, isStrained } = jobGrowth(snapshot, bow, peakN);
  return (
    <>
      <BlockTitle className={css.growthTitle}>{w.growth}</BlockTitle>
      <p>{w.holdingNow(say(peakN * (1 - bow.letOff)), say(peakN), Math.round(bow.letOff * 100))}</p>
      {steps.length === 0 ? (
        <Text soft>{w.noRoom(say(bow.maxPeakN))}</Text>
      ) : (
        <>
          <Rows as="ol" className={css.growthRows} data-part="growth-rows">
            {steps.map((step) => (
              <li key={step.day}>
                <Text variant="figure">{plainDay(step.day)}</Text>
                <Text variant="figure" as="b">
                  {say(step.peakN)}
                </Text>
              </li>
            ))}
          </Rows>
          <Text variant="small" soft as="p">
            {w.holdTest(HOLD_TEST, say(testN), isStrained)}{' '}
            {isChild &&
              w.childSlow(spoken(N_PER_POUND, 'force', shop.units, 'a pound', { decimals: 1 }))}
          </Text>
        </>
      )}
    </>
  );
}
