'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import {
  POSTURE,
  POSTURE_SEEN,
  type PostureEntry,
  type PostureEvidence,
  type PostureSeen,
} from '@/core/fit';
import { archerCautions, postureKey, postureLooks, readOptionsFor } from '@/core/job';
import { write } from '@/core/units';
import { Text } from '../../pieces/Text';
import { Press } from '../../pieces/Press';
import { ArcherDrawing } from '../../drawings/ArcherDrawing';
import { WithFractions } from '../../fields/Figure';
import { MeasureField } from '../../fields/MeasureField';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { Dock } from '../../job/Dock';
import { LastValue } from '../../job/LastValue';
import { fit as w } from '../../words';
import { Work } from '../../job/Work';
import { FieldError, Note } from '../../pieces/texts';
import { Block, Verdict } from '../../pieces/layout';
import { FitHead } from './FitHead';
import goalCss from '../bow/goal.module.css';
import css from './FullDraw.module.css';
import stepsCss from './steps.module.css';

/** A guided look at full draw; what is seen stands beside the number and is never mixed into it. */
export function FullDraw() {
  const { snapshot, derived } = useJob();
  const { drawnMm, looks } = postureLooks(snapshot.fitReadings);
  const [chosen, choose] = useState<PostureEntry | null>(null);
  const open = POSTURE.find(({ id }) => !looks.some((look) => look.place === id));
  const current = chosen ?? open ?? null;
  const [anew, setAnew] = useState(false);
  return (
    <>
      <Work>
        <FitHead part="posture" />
        {drawnMm === null || anew ? (
          <BowInHand onTaken={() => setAnew(false)} />
        ) : (
          <>
            <div className={goalCss.goalLine} data-part="goal-line">
              <Text soft as="span">
                {w.bowInHand}
              </Text>
              <Text variant="big">
                <WithFractions text={write(drawnMm, 'length', snapshot.shop.units)} />
              </Text>
              <Button variant="outlined" onClick={() => setAnew(true)}>
                {w.newLook}
              </Button>
            </div>
            <Evidence evidence={derived.posture} />
            <div className={css.postureTabs} role="group" aria-label={w.places}>
              {POSTURE.map((entry) => {
                const seen = looks.find((look) => look.place === entry.id)?.seen;
                return (
                  <Press
                    key={entry.id}
                    type="button"
                    aria-pressed={entry.id === current?.id}
                    onClick={() => choose(entry)}
                  >
                    <b>{entry.name}</b>
                    <span data-seen={seen ?? 'no'}>{seen ? w.seen[seen] : w.notLooked}</span>
                  </Press>
                );
              })}
            </div>
            {current ? (
              <Look entry={current} onSeen={() => choose(null)} />
            ) : (
              <Note kind="good">{w.allLooked}</Note>
            )}
          </>
        )}
      </Work>
      <Margin
        because={[w.because.evidence, w.because.signs]}
        watch={[
          { id: 'safe', text: w.watch.safe, stop: true },
          { id: 'tooLong', text: w.watch.tooLong },
          { id: 'short', text: w.watch.lookShort },
          ...archerCautions(snapshot).filter(({ id }) => id === 'injury' || id === 'minor'),
        ]}
      />
    </>
  );
}

/** The eye judges the bow in hand: its length comes first. */
function BowInHand({ onTaken }: { onTaken: () => void }) {
  const { snapshot, send } = useJob();
  return (
    <Block as="div">
      <Stack spacing={2} component="section">
        <p className={css.lead}>{w.lookFirst}</p>
        <ol className={stepsCss.plainSteps}>
          {w.lookSteps.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      </Stack>
      <Dock>
        <MeasureField
          last={<LastValue of="postureBow" />}
          label={w.bowInHandField}
          draft={`${snapshot.job.id}.postureBow`}
          options={readOptionsFor('postureBow', snapshot.shop.units, snapshot.bow)!}
          onTake={async (entered) => {
            const trouble = await send({
              name: 'takeReadings',
              readings: [{ key: 'postureBow', entered }],
            });
            if (!trouble) onTaken();
            return trouble;
          }}
        />
      </Dock>
    </Block>
  );
}

/** Number and eye side by side. */
function Evidence({ evidence }: { evidence: PostureEvidence }) {
  const { right, tooLong, tooShort, asks, contradiction } = evidence;
  if (right + tooLong + tooShort === 0) return <Verdict>{w.lookNow}</Verdict>;
  return contradiction ? (
    <Note role="status">
      <WithFractions text={contradiction} />
    </Note>
  ) : (
    <Verdict>
      {w.signs(tooLong, tooShort, right)} <b>{w.eyeAsks[asks]}</b>
    </Verdict>
  );
}

/** One place: three drawings, of which one is what is seen. */
function Look({ entry, onSeen }: { entry: PostureEntry; onSeen: () => void }) {
  const { snapshot, send } = useJob();
  const [trouble, setTrouble] = useState('');
  const { id, name, look, signs } = entry;
  const take = async (seen: PostureSeen) => {
    const answer = await send({
      name: 'takeReadings',
      readings: [{ key: postureKey(id), entered: '', choice: seen }],
    });
    setTrouble(answer?.message ?? '');
    if (!answer) onSeen();
  };
  return (
    <section>
      <h3 className={css.lookTitle} data-part="look-title">
        {name}
      </h3>
      <Text soft>{look}</Text>
      <div className={css.looks} data-part="looks" role="group" aria-label={name}>
        {POSTURE_SEEN.map((seen) => (
          <Press key={seen} type="button" data-seen={seen} onClick={() => void take(seen)}>
            <ArcherDrawing place={id} seen={seen} mirrored={snapshot.archer.hand === 'left'} />
            <b>{w.seen[seen]}</b>
            <span>{signs[seen]}</span>
          </Press>
        ))}
      </div>
      {trouble && <FieldError>{trouble}</FieldError>}
    </section>
  );
}
