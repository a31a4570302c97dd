'use client';
import { methodEntry, type DrawLengthMethod } from '@/core/fit';
import type { FitReading } from '@/core/job';
import { Text } from '../../pieces/Text';
import { Press } from '../../pieces/Press';
import { WithFractions } from '../../fields/Figure';
import { whenText } from '../../fields/dates';
import { Discard } from '../../job/Discard';
import { useJob } from '../../job/JobProvider';
import { fit as w } from '../../words';
import methodCss from '../../fields/method.module.css';
import css from './MethodRow.module.css';

/** One method of measuring the draw length with what it brought; the current one says how it is done. */
export function MethodRow({
  method,
  readings,
  current,
  onChoose,
}: {
  method: DrawLengthMethod;
  readings: readonly FitReading[];
  current: boolean;
  onChoose: () => void;
}) {
  const { snapshot } = useJob();
  const { name, how } = methodEntry(method);
  const last = readings.at(-1);
  return (
    <li>
      <Press
        type="button"
        className={methodCss.method}
        data-part="method"
        aria-pressed={current}
        aria-label={w.measure(name)}
        onClick={onChoose}
      >
        <span className={methodCss.methodName}>{name}</span>
        <span className={methodCss.methodValue}>
          {readings.length === 0 ? (
            <Text soft as="span">
              {w.notYet}
            </Text>
          ) : (
            readings.map((reading) => (
              <Text key={reading.seq} variant="figure">
                <WithFractions text={reading.entered} />
              </Text>
            ))
          )}
        </span>
        {(current || last) && (
          <Text variant="small" soft className={methodCss.methodHow}>
            {current ? `${how}.` : ''}{' '}
            {last && `${last.who}, ${whenText(last.at, snapshot.shop.timeZone, snapshot.today)}`}
          </Text>
        )}
      </Press>
      {current && readings.length > 0 && (
        <div className={css.methodReadings}>
          {readings.map((reading, i) => (
            <span key={reading.seq} className={css.methodReading}>
              <Text variant="small" soft>
                <WithFractions text={reading.entered} />
                {method === 'fittingBow' && i < readings.length - 1 && ` · ${w.older}`}
              </Text>
              <Discard seq={reading.seq} />
            </span>
          ))}
        </div>
      )}
    </li>
  );
}
