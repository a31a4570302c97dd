'use client';
import { methodEntry, type DrawLengthMethod } from '@/core/fit';
import type { FitReading } from '@/core/job';
import { WithFractions } from '../../fields/Figure';
import { whenText } from '../../fields/dates';
import { Discard } from '../../job/Discard';
import { useJob } from '../../job/JobProvider';
import { fit as w } from '../../words';

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
      <button
        type="button"
        className="method"
        aria-pressed={current}
        aria-label={w.measure(name)}
        onClick={onChoose}
      >
        <span className="method-name">{name}</span>
        <span className="method-value">
          {readings.length === 0 ? (
            <span className="soft">{w.notYet}</span>
          ) : (
            readings.map((reading) => (
              <span key={reading.seq} className="figure">
                <WithFractions text={reading.entered} />
              </span>
            ))
          )}
        </span>
        {(current || last) && (
          <span className="method-how small soft">
            {current ? `${how}.` : ''}{' '}
            {last && `${last.who}, ${whenText(last.at, snapshot.shop.timeZone, snapshot.today)}`}
          </span>
        )}
      </button>
      {current && readings.length > 0 && (
        <div className="method-readings">
          {readings.map((reading, i) => (
            <span key={reading.seq} className="method-reading">
              <span className="small soft">
                <WithFractions text={reading.entered} />
                {method === 'fittingBow' && i < readings.length - 1 && ` · ${w.older}`}
              </span>
              <Discard seq={reading.seq} />
            </span>
          ))}
        </div>
      )}
    </li>
  );
}
