'use client';
import { isWaiting } from '@/core/entries';
import { latest, readingText, setupValue, type SetupKey } from '@/core/setup';
import { Text } from '../pieces/Text';
import { WithFractions } from '../fields/Figure';
import { whenText } from '../fields/dates';
import { frame, waitingWords } from '../words';
import { useJob } from './JobProvider';
import { Still } from './Still';
import measureCss from '../fields/measure.module.css';

/** What was read last of this value and by whom, beside the field that takes the next. */
export function LastValue({ of }: { of: string }) {
  const { snapshot, derived } = useJob();
  const { shop, today } = snapshot;
  const setup = latest(derived.history, of as SetupKey);
  const reading = setup ?? snapshot.fitReadings.findLast(({ key }) => key === of) ?? null;
  if (!reading)
    return (
      <Text soft className={measureCss.lastValue}>
        {frame.noLast}
      </Text>
    );
  const text = setup ? readingText(setup, shop.units) : reading.entered;
  const isTick = setup !== null && setupValue(setup.key).kind === 'check';
  // Who and when stand with the reading itself; here the one tap is worth more.
  const isAgain = setup !== null && derived.plan.stale.some(({ key }) => key === setup.key);
  return (
    <p className={measureCss.lastValue}>
      <Text soft as="span">
        {frame.lastValue}
      </Text>{' '}
      <Text variant="figure" as="b">
        <WithFractions text={isTick ? '✓' : text} />
      </Text>{' '}
      {isAgain ? (
        <Still of={setup!.key} />
      ) : (
        <Text soft as="span" className={measureCss.lastWho}>
          {isWaiting(reading.seq)
            ? waitingWords.notSent
            : `${reading.who}, ${whenText(reading.at, shop.timeZone, today)}`}
        </Text>
      )}
    </p>
  );
}
