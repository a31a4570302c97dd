'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import {
  POSTURE,
  POSTURE_SEEN,
  type PostureEntry,
  type PostureEvidence,
  type PostureSeen,
} from '@/core/fit';
import { archerCautions, postureKey, postureLooks, readOptionsFor } from '@/core/job';
import { write } from '@/core/units';
import { ArcherDrawing } from '../../drawings/ArcherDrawing';
import { WithFractions } from '../../fields/Figure';
import { MeasureField } from '../../fields/MeasureField';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { Dock } from '../../job/Dock';
import { LastValue } from '../../job/LastValue';
import { fit as w } from '../../words';
import { FitHead } from './FitHead';

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
      <main className="work">
        <FitHead part="posture" />
        {drawnMm === null || anew ? (
          <BowInHand onTaken={() => setAnew(false)} />
        ) : (
          <>
            <div className="goal-line">
              <span className="soft">{w.bowInHand}</span>
              <span className="big figure">
                <WithFractions text={write(drawnMm, 'length', snapshot.shop.units)} />
              </span>
              <Button variant="outlined" onClick={() => setAnew(true)}>
                {w.newLook}
              </Button>
            </div>
            <Evidence evidence={derived.posture} />
            <div className="posture-tabs" role="group" aria-label={w.places}>
              {POSTURE.map((entry) => {
                const seen = looks.find((look) => look.place === entry.id)?.seen;
                return (
                  <button
                    key={entry.id}
                    type="button"
                    aria-pressed={entry.id === current?.id}
                    onClick={() => choose(entry)}
                  >
                    <b>{entry.name}</b>
                    <span data-seen={seen ?? 'no'}>{seen ? w.seen[seen] : w.notLooked}</span>
                  </button>
                );
              })}
            </div>
            {current ? (
              <Look entry={current} onSeen={() => choose(null)} />
            ) : (
              <p className="note" data-kind="good">
                {w.allLooked}
              </p>
            )}
          </>
        )}
      </main>
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
    <div className="block">
      <section className="stack">
        <p className="lead">{w.lookFirst}</p>
        <ol className="plain-steps">
          {w.lookSteps.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      </section>
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
    </div>
  );
}

/** Number and eye side by side. */
function Evidence({ evidence }: { evidence: PostureEvidence }) {
  const { right, tooLong, tooShort, asks, contradiction } = evidence;
  if (right + tooLong + tooShort === 0) return <p className="verdict">{w.lookNow}</p>;
  return contradiction ? (
    <p className="note" role="status">
      <WithFractions text={contradiction} />
    </p>
  ) : (
    <p className="verdict">
      {w.signs(tooLong, tooShort, right)} <b>{w.eyeAsks[asks]}</b>
    </p>
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
      <h3 className="look-title">{name}</h3>
      <p className="soft">{look}</p>
      <div className="looks" role="group" aria-label={name}>
        {POSTURE_SEEN.map((seen) => (
          <button key={seen} type="button" data-seen={seen} onClick={() => void take(seen)}>
            <ArcherDrawing place={id} seen={seen} mirrored={snapshot.archer.hand === 'left'} />
            <b>{w.seen[seen]}</b>
            <span>{signs[seen]}</span>
          </button>
        ))}
      </div>
      {trouble && <p className="field-error">{trouble}</p>}
    </section>
  );
}
