'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { group, type GroupResult, type Hit } from '@/core/flight';
import { archerCautions } from '@/core/job';
import { latest } from '@/core/route';
import { metre, mm, read, write, type ReadOptions, type ReadResult } from '@/core/units';
import { TargetDrawing } from '../../drawings/TargetDrawing';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { lane as w } from '../../words';
import { LaneParts } from './LaneParts';
import { SmallNumber } from './SmallNumber';
import { StepNotes } from './StepNotes';

const SPANS_MM = [150, 300, 600];

/** A group on the target decides whether the pin moves, and confirms the distance when it need not. */
export function FirstDistance() {
  const { snapshot, derived } = useJob();
  const { href } = useStage();
  const step = derived.plan.steps.find(({ id }) => id === 'firstMark')!;
  const radius = latest(derived.history, 'peepToPin')?.si ?? null;
  return (
    <>
      <main className="work">
        <LaneParts current="first" />
        <StepNotes step={step} say />
        {radius === null ? (
          <>
            <p className="note">{w.needPin}</p>
            <Button
              component={Link}
              variant="contained"
              href={href('bench', { step: 'trueHeights' })}
            >
              {w.toBench}
            </Button>
          </>
        ) : (
          <GroupWork radiusMm={radius} />
        )}
      </main>
      <Margin
        because={[w.because.hotelling, w.because.model]}
        watch={[
          { id: 'target', text: w.watch.target, stop: true },
          ...archerCautions(snapshot).filter(({ id }) => id === 'minor' || id === 'injury'),
        ]}
      />
    </>
  );
}

function GroupWork({ radiusMm }: { radiusMm: number }) {
  const { snapshot, send } = useJob();
  const { go } = useStage();
  const units = snapshot.shop.units;
  const [distance, setDistance] = useState(units.distance === 'yd' ? '20 yd' : '18 m');
  const [hits, setHits] = useState<readonly Hit[]>([]);
  const [span, setSpan] = useState(1);
  const [trouble, setTrouble] = useState('');
  const how = read(distance, {
    quantity: 'distance',
    shop: units,
    min: 3,
    max: 150,
    what: 'distance',
  });
  const answer =
    how.ok && hits.length > 0
      ? group({ hits, distanceM: metre(how.si), peepToPinMm: mm(radiusMm) })
      : null;
  const confirm = async () => {
    const refused = await send({
      name: 'takeGroup',
      distance,
      hits: hits.map((hit) => ({ ...hit })),
    });
    setTrouble(refused?.message ?? '');
    if (!refused) go('lane', { part: 'marks' });
  };
  return (
    <div className="split paper-split">
      <TargetDrawing
        halfMm={SPANS_MM[span]!}
        hits={hits}
        centre={answer?.centre ?? null}
        onTap={(hit) => setHits([...hits, hit])}
      />
      <div className="stack">
        <TextField
          id="group-distance"
          label={w.distanceLabel}
          value={distance}
          autoComplete="off"
          error={!how.ok}
          helperText={how.ok ? ' ' : how.message}
          slotProps={{ htmlInput: { maxLength: 20 } }}
          onChange={(event) => setDistance(event.target.value)}
        />
        <p className="soft">{w.hitsHint}</p>
        <div className="actions hit-actions">
          <b className="figure">{w.hits(hits.length)}</b>
          <Button
            variant="text"
            disabled={hits.length === 0}
            onClick={() => setHits(hits.slice(0, -1))}
          >
            {w.removeLast}
          </Button>
          <Button variant="text" disabled={span === 0} onClick={() => setSpan(span - 1)}>
            {w.closer}
          </Button>
          <Button
            variant="text"
            disabled={span === SPANS_MM.length - 1}
            onClick={() => setSpan(span + 1)}
          >
            {w.wider}
          </Button>
        </div>
        {answer && <Judgement answer={answer} />}
        <Button
          variant="contained"
          disabled={!answer || answer.pValue === null || answer.adjust}
          onClick={() => void confirm()}
        >
          {w.confirm} {distanceText(how, units)}
        </Button>
        <p className="field-error" role={trouble ? 'alert' : undefined}>
          {trouble}
        </p>
        <TypedHit onHit={(hit) => setHits([...hits, hit])} />
      </div>
    </div>
  );
}

/** A hit measured with the rule instead of tapped. */
function TypedHit({ onHit }: { onHit: (hit: Hit) => void }) {
  const units = useJob().snapshot.shop.units;
  const [text, setText] = useState({ right: '', up: '' });
  const options = (what: string): ReadOptions => ({
    quantity: 'length',
    shop: units,
    bareUnit: 'mm',
    min: -3000,
    max: 3000,
    what,
  });
  const right = read(text.right, options(w.hitRight));
  const up = read(text.up, options(w.hitUp));
  return (
    <form
      className="typed-hit"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (!right.ok || !up.ok) return;
        onHit({ rightMm: mm(right.si), upMm: mm(up.si) });
        setText({ right: '', up: '' });
        document.querySelector<HTMLElement>('[data-measure]')?.focus();
      }}
    >
      <SmallNumber
        label={w.hitRight}
        text={text.right}
        onText={(value) => setText({ ...text, right: value })}
        result={right}
        current
      />
      <SmallNumber
        label={w.hitUp}
        text={text.up}
        onText={(value) => setText({ ...text, up: value })}
        result={up}
      />
      <Button type="submit" variant="outlined" disabled={!right.ok || !up.ok}>
        {w.addHit}
      </Button>
    </form>
  );
}

const distanceText = (how: ReadResult, units: Parameters<typeof write>[2]) =>
  how.ok ? write(how.si, 'distance', units, { decimals: 0 }) : '';

function Judgement({ answer }: { answer: GroupResult }) {
  if (answer.pValue === null) return <p className="note">{w.few(answer.hitsNeeded!)}</p>;
  if (!answer.adjust) {
    return (
      <p className="note" data-kind="good" role="status">
        {w.onAim} {answer.hitsNeeded ? w.moreToShow(answer.hitsNeeded) : ''}
      </p>
    );
  }
  const { rightMm, upMm } = answer.pinMove!;
  const figure = (n: number) => Math.abs(n).toFixed(1);
  const small = (n: number) => Math.abs(n) < 0.05;
  return (
    <p className="note" role="status">
      {w.move(
        small(upMm) ? '' : upMm > 0 ? w.pinUp(figure(upMm)) : w.pinDown(figure(upMm)),
        small(rightMm)
          ? ''
          : rightMm > 0
            ? w.pinRight(figure(rightMm))
            : w.pinLeft(figure(rightMm)),
      )}
    </p>
  );
}
