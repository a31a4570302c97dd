'use client';
import { useState } from 'react';
import { methodEntry, OLD_BOW, type OldBowKey } from '@/core/fit';
import { addedTo, readOptionsFor, type FitReading } from '@/core/job';
import { write } from '@/core/units';
import { Text } from '../../pieces/Text';
import { Press } from '../../pieces/Press';
import { WithFractions } from '../../fields/Figure';
import { MeasureField } from '../../fields/MeasureField';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { Dock } from '../../job/Dock';
import { LastValue } from '../../job/LastValue';
import { fit as w } from '../../words';
import { Work } from '../../job/Work';
import { Note } from '../../pieces/texts';
import { Rows } from '../../pieces/layout';
import { FitHead } from './FitHead';
import methodCss from '../../fields/method.module.css';

type Key = OldBowKey | 'fittingBow';

const ENTRIES: readonly { key: Key; name: string; how: string; use: string }[] = [
  {
    key: 'fittingBow',
    name: w.oldLength,
    how: methodEntry('fittingBow').how,
    use: w.oldLengthUse,
  },
  ...OLD_BOW,
];

/** The bow they like, measured as the target for the new one. */
export function OldBow() {
  const { snapshot, derived, send } = useJob();
  const { job, shop, bow, fitReadings } = snapshot;
  const last = (key: Key): FitReading | undefined =>
    fitReadings.findLast((reading) => reading.key === key);
  const [chosen, choose] = useState<Key | null>(null);
  const current =
    ENTRIES.find(({ key }) => key === chosen) ??
    ENTRIES.find(({ key }) => !last(key)) ??
    ENTRIES[0]!;
  const start = derived.fitWeight.startN;
  const { oldPeak } = derived.context.oldBow;
  const heavy =
    oldPeak !== undefined && fitReadings.some(({ outcome }) => outcome) && oldPeak > start + 4.5;
  return (
    <>
      <Work>
        <FitHead part="old" />
        {heavy && (
          <Note role="status">
            {w.oldHeavy(
              write(oldPeak, 'force', shop.units, { decimals: 0 }),
              write(start, 'force', shop.units, { decimals: 0 }),
            )}
          </Note>
        )}
        <div>
          <Rows className={methodCss.methodRows} data-part="method-rows">
            {ENTRIES.map((entry) => {
              const reading = last(entry.key);
              const now = entry.key === current.key;
              return (
                <li key={entry.key}>
                  <Press
                    type="button"
                    className={methodCss.method}
                    data-part="method"
                    aria-pressed={now}
                    aria-label={w.measure(entry.name)}
                    onClick={() => choose(entry.key)}
                  >
                    <span className={methodCss.methodName}>{entry.name}</span>
                    <span className={methodCss.methodValue}>
                      {reading ? (
                        <Text variant="figure">
                          <WithFractions text={reading.entered} />
                        </Text>
                      ) : (
                        <Text soft as="span">
                          {w.notYet}
                        </Text>
                      )}
                    </span>
                    {(now || reading) && (
                      <Text variant="small" soft className={methodCss.methodHow}>
                        {now ? `${entry.how}. ` : ''}
                        {reading ? w.oldUse(entry.use) : ''}
                      </Text>
                    )}
                  </Press>
                </li>
              );
            })}
          </Rows>
          <Dock>
            <MeasureField
              key={current.key}
              last={<LastValue of={current.key} />}
              label={current.name}
              draft={`${job.id}.${current.key}`}
              options={readOptionsFor(current.key, shop.units, bow)!}
              addsMm={addedTo(current.key)}
              onText={(text) => {
                if (text !== '') choose(current.key);
              }}
              onTake={async (entered) => {
                const trouble = await send({
                  name: 'takeReadings',
                  readings: [{ key: current.key, entered, method: 'old bow' }],
                });
                if (!trouble) choose(null);
                return trouble;
              }}
            />
          </Dock>
        </div>
      </Work>
      <Margin
        because={[w.because.old, w.because.oldOrder]}
        watch={[
          { id: 'safe', text: w.watch.safe, stop: true },
          { id: 'oldSafe', text: w.watch.oldSafe },
        ]}
      />
    </>
  );
}
