'use client';
import Typography from '@mui/material/Typography';
import { latest, readingText, setupValue, type SetupKey } from '@/core/setup';
import { WithFractions } from '../fields/Figure';
import { whenText } from '../fields/dates';
import { frame } from '../words';
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
      <Typography color="textSecondary" className={measureCss.lastValue}>
        {frame.noLast}
      </Typography>
    );
  const text = setup ? readingText(setup, shop.units) : reading.entered;
  const isTick = setup !== null && setupValue(setup.key).kind === 'check';
  // Who and when stand with the reading itself; here the one tap is worth more.
  const isAgain = setup !== null && derived.plan.stale.some(({ key }) => key === setup.key);
  return (
    <p className={measureCss.lastValue}>
      <Typography color="textSecondary" component="span">
        {frame.lastValue}
      </Typography>{' '}
      <Typography variant="figure" component="b">
        <WithFractions text={isTick ? '✓' : text} />
      </Typography>{' '}
      {isAgain ? (
        <Still of={setup!.key} />
      ) : (
        <Typography color="textSecondary" component="span" className={measureCss.lastWho}>
          {reading.who}, {whenText(reading.at, shop.timeZone, today)}
        </Typography>
      )}
    </p>
  );
}
