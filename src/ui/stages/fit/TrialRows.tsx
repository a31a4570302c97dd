import type { TrialOutcome } from '@/core/fit';
import { isOfHand } from '@/core/job';
import { WithFractions } from '../../fields/Figure';
import { secondsText } from '../../fields/StopWatch';
import { whenText } from '../../fields/dates';
import { Discard } from '../../job/Discard';
import { useJob } from '../../job/JobProvider';
import { Rows } from '../../pieces/layout';
import { Tag } from '../../pieces/texts';
import { Text } from '../../pieces/Text';
import { fit as w } from '../../words';
import goalCss from '../bow/goal.module.css';
import css from './DrawWeight.module.css';

const tagOf = (outcome: TrialOutcome) =>
  ({ smooth: 'in', strained: 'warn', failed: 'out', pain: 'stop' })[outcome];

/** Every trial: at what weight, how it went, how long it was held, by whom. */
export function TrialRows() {
  const { snapshot } = useJob();
  const { shop, archer, fitReadings, today } = snapshot;
  const rows = fitReadings.filter((reading) => reading.key === 'weightTrial');
  return (
    <Rows className={goalCss.trialRows} data-part="trial-rows">
      {rows.map((reading) => (
        <li key={reading.seq}>
          <Text variant="figure">
            <WithFractions text={reading.entered} />
          </Text>
          <Tag kind={tagOf(reading.outcome!)}>{w.outcomeNames[reading.outcome!]}</Tag>
          <span>
            {reading.si2 !== null && w.held(secondsText(reading.si2))}
            {!isOfHand(reading, archer.hand) && w.otherHand(reading.hand!)}
          </span>
          <Text variant="small" soft className={css.trialWho}>
            {reading.who}, {whenText(reading.at, shop.timeZone, today)}
          </Text>
          <Discard seq={reading.seq} />
        </li>
      ))}
      {rows.length === 0 && (
        <Text soft as="li">
          {w.noTrial}
        </Text>
      )}
    </Rows>
  );
}
