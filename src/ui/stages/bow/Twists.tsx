'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { camTiming, type BowRecord } from '@/core/bow';
import { addedTo, readOptionsFor } from '@/core/job';
import {
  cableMoves,
  fresherThan,
  latest,
  readingText,
  REGISTRY,
  setupValue,
  stringResponse,
  targetOf,
  type SetupKey,
} from '@/core/setup';
import { dependents } from '@/core/ripple';
import { write } from '@/core/units';
import { Text } from '../../pieces/Text';
import { Press } from '../../pieces/Press';
import { CamTimingDrawing } from '../../drawings/CamTimingDrawing';
import { Choice } from '../../fields/Choice';
import { WithFractions } from '../../fields/Figure';
import { MeasureField } from '../../fields/MeasureField';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { Dock } from '../../job/Dock';
import { LastValue } from '../../job/LastValue';
import { AgainNote } from '../../job/AgainNote';
import { bow as b, twists as w } from '../../words';
import { Work } from '../../job/Work';
import { Block, BlockTitle, Rows, Split } from '../../pieces/layout';
import { BowParts } from './BowParts';
import methodCss from '../../fields/method.module.css';
import css from './Twists.module.css';

const KEYS = ['drawLength', 'stringTwists', 'timing', 'cableTwists'] as const;
type Key = (typeof KEYS)[number];

/** What is left of the draw length, and cams that run apart: by twists, with what they move. */
export function Twists({ bow }: { bow: BowRecord }) {
  const { snapshot, derived } = useJob();
  const { history, context } = derived;
  const single = bow.camSystem === 'single';
  const keys = KEYS.filter((key) => !single || key === 'drawLength' || key === 'stringTwists');
  const [chosen, choose] = useState<Key | null>(null);
  const current = chosen ?? keys.find((key) => !latest(history, key)) ?? keys[0]!;
  const response = stringResponse(history);
  const units = snapshot.shop.units;
  const millimetres = { ...units, length: 'mm' as const };
  const target = targetOf('stringTwists', context);
  const standing = latest(history, 'stringTwists')?.si ?? 0;
  // Twisted after the board was read, and not as asked: only another look says where it stands.
  const twistedSince =
    latest(history, 'drawLength') !== null && !fresherThan(history, 'drawLength', 'stringTwists');
  return (
    <>
      <Work>
        <BowParts current="twists" />
        <Split className={css.twistAdvice}>
          <section>
            <BlockTitle>{w.string}</BlockTitle>
            {target ? (
              <>
                <p className={css.twistSay} data-part="twist-say">
                  <WithFractions
                    text={twistedSince ? w.readAgain : w.stringDo(target.si - standing, units)}
                  />
                </p>
                <Text soft>
                  <WithFractions text={`${target.reason}.`} />
                </Text>
              </>
            ) : (
              <Text soft>{w.noLength}</Text>
            )}
            <Text variant="small" soft as="p">
              <WithFractions
                text={w.response(
                  write(Math.abs(response.perTwistMm), 'length', millimetres, { decimals: 1 }),
                  write(response.sigmaMm, 'length', millimetres, { decimals: 1 }),
                  response.moves,
                )}
              />
            </Text>
          </section>
          <Timing bow={bow} />
        </Split>
        <Block as="div">
          <Rows className={methodCss.methodRows} data-part="method-rows">
            {keys.map((key) => (
              <ValueRow key={key} of={key} current={key === current} onChoose={() => choose(key)} />
            ))}
          </Rows>
          <TakeValue
            key={current}
            of={current}
            onTaken={() => choose(null)}
            onTyping={() => choose(current)}
          />
        </Block>
      </Work>
      <Margin
        because={[
          w.because.rule,
          w.because.learned,
          movedBy(single ? ['stringTwists'] : ['stringTwists', 'cableTwists']),
        ]}
        watch={[
          { id: 'press', text: w.watch.press, stop: true },
          { id: 'half', text: w.watch.half },
          { id: 'manual', text: b.watch.manual },
        ]}
      />
    </>
  );
}

/** What is asked again when a twist is put in or taken out. */
const movedBy = (keys: readonly SetupKey[]) => {
  const all = REGISTRY.map(({ key }) => key);
  const moved = new Set(keys.flatMap((key) => dependents(key, all)));
  return w.alsoMoves(all.filter((key) => moved.has(key)).map((key) => setupValue(key).short));
};

function Timing({ bow }: { bow: BowRecord }) {
  const { snapshot, derived } = useJob();
  const { history } = derived;
  const gap = latest(history, 'timing')?.si ?? null;
  const units = { ...snapshot.shop.units, length: 'mm' as const };
  const advice = camTiming({
    camSystem: bow.camSystem,
    gapMm: gap ?? 0,
    moves: cableMoves(history),
  });
  const old = gap !== null && !fresherThan(history, 'timing', 'cableTwists');
  return (
    <section>
      <BlockTitle>{w.timing}</BlockTitle>
      {!advice.ok ? (
        <Text soft>{advice.message}</Text>
      ) : gap === null ? (
        <Text soft>{w.notSeen}</Text>
      ) : (
        <div className={css.timing}>
          <CamTimingDrawing
            gapMm={gap}
            label={write(Math.abs(gap), 'length', units, { decimals: 1 })}
          />
          <div>
            <p className={css.twistSay} data-part="twist-say">
              <WithFractions
                text={
                  old
                    ? w.lookAgain
                    : w.timingDo(advice.leads, advice.cableName, advice.twists, snapshot.shop.units)
                }
              />
            </p>
            {!old && advice.twists !== 0 && (
              <Text soft>
                {advice.why}{' '}
                {w.expected(
                  write(advice.expectedMm, 'length', units, { signed: true, decimals: 1 }),
                  write(advice.sigmaMm, 'length', units, { decimals: 1 }),
                )}
              </Text>
            )}
            <Text variant="small" soft as="p">
              {w.timingResponse(
                write(Math.abs(advice.response.perTwistMm), 'length', units, { decimals: 1 }),
                advice.response.moves,
              )}
            </Text>
          </div>
        </div>
      )}
    </section>
  );
}

function ValueRow({ of, current, onChoose }: { of: Key; current: boolean; onChoose: () => void }) {
  const { derived, snapshot } = useJob();
  const units = snapshot.shop.units;
  const { name, how } = setupValue(of);
  const rows = (derived.history.get(of) ?? []).slice(-3);
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
          {rows.length === 0 ? (
            <Text soft as="span">
              {w.notYet}
            </Text>
          ) : (
            rows.map((reading) => (
              <Text key={reading.seq} variant="figure">
                <WithFractions text={readingText(reading, units)} />
              </Text>
            ))
          )}
        </span>
        {current && (
          <Text variant="small" soft className={methodCss.methodHow}>
            {how}.
          </Text>
        )}
      </Press>
      <AgainNote of={[of]} />
    </li>
  );
}

/** One value; the timing by which cam touched first, so that nobody has to think of signs. */
function TakeValue({
  of,
  onTaken,
  onTyping,
}: {
  of: Key;
  onTaken: () => void;
  onTyping: () => void;
}) {
  const { snapshot, send } = useJob();
  const [first, setFirst] = useState<'top' | 'bottom'>('top');
  const take = async (entered: string) => {
    const trouble = await send({
      name: 'takeReadings',
      readings: [{ key: of as SetupKey, entered }],
    });
    if (!trouble) onTaken();
    return trouble;
  };
  const signed = (text: string) =>
    of === 'timing' && first === 'bottom' && !/^[-−]/.test(text) ? `-${text}` : text;
  return (
    <Dock>
      {of === 'timing' && (
        <div className={css.timingFirst}>
          <Choice label={w.touchedFirst} value={first} options={w.firsts} onChange={setFirst} />
          <Button type="button" variant="plain" onClick={() => void take('0')}>
            {w.together}
          </Button>
        </div>
      )}
      <MeasureField
        last={<LastValue of={of} />}
        label={setupValue(of).name}
        draft={`${snapshot.job.id}.${of}`}
        options={readOptionsFor(of, snapshot.shop.units, snapshot.bow)!}
        addsMm={addedTo(of)}
        onText={(text) => text !== '' && onTyping()}
        onTake={(entered) => take(signed(entered))}
      />
    </Dock>
  );
}
