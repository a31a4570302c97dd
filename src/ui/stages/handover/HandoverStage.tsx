'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import TextField from '@mui/material/TextField';
import { HANDOVER_CAUTIONS, openWork } from '@/core/job';
import { whenText } from '../../fields/dates';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { ReasonPanel } from '../../job/ReasonPanel';
import { useKept } from '../../keep/useKept';
import { useStage } from '../../job/useStage';
import { handover as w, lane } from '../../words';
import { NoBow } from '../bench/BenchStage';
import { StepWork } from '../bench/StepWork';

/** What is open, what was told, and the sheet. */
export function HandoverStage() {
  const { snapshot, derived, states } = useJob();
  if (!snapshot.bow) return <NoBow text={lane.noBow} />;
  const open = openWork(states, derived);
  const step = derived.plan.steps.find(({ id }) => id === 'fasteners')!;
  return (
    <>
      <main className="work">
        <div className="head">
          <h2>{w.title}</h2>
          <span className="spread">{open.length === 0 ? w.ready : w.openCount(open.length)}</span>
        </div>
        {snapshot.sheets.length > 0 && <Sheets />}
        <Open open={open} />
        <section className="block">
          <h3>{w.tight}</h3>
          <StepWork step={step} asked={null} onward={null} />
        </section>
        <Cautions />
        <MakeSheet open={open} />
        {snapshot.sheets.length === 0 && <Sheets />}
      </main>
      <Margin
        because={[w.because.immutable, w.because.open]}
        watch={[
          ...(snapshot.archer.minor ? [{ id: 'minor', text: w.watch.minor }] : []),
          { id: 'law', text: HANDOVER_CAUTIONS.find(({ id }) => id === 'law')!.text },
        ]}
      />
    </>
  );
}

function Open({ open }: { open: readonly string[] }) {
  const { states } = useJob();
  const { href } = useStage();
  return (
    <section className="block">
      <h3>{w.open}</h3>
      {open.length === 0 ? (
        <p className="note" data-kind="good">
          {w.nothingOpen}
        </p>
      ) : (
        <ul className="rows open-rows">
          {states
            .filter((stage) => stage.open.length > 0 && !['meet', 'handover'].includes(stage.id))
            .map((stage) => (
              <li key={stage.id}>
                <Link href={href(stage.id)}>{stage.name}</Link>
                <span>{stage.open.join(' · ')}</span>
              </li>
            ))}
        </ul>
      )}
    </section>
  );
}

function Cautions() {
  const { snapshot, send } = useJob();
  const told = HANDOVER_CAUTIONS.filter(({ id }) => snapshot.acknowledged.includes(id)).length;
  return (
    <section className="block">
      <h3>
        {w.cautions} <span className="soft">{w.told(told, HANDOVER_CAUTIONS.length)}</span>
      </h3>
      <p className="soft">{w.tellAll}</p>
      <ul className="rows caution-rows">
        {HANDOVER_CAUTIONS.map(({ id, text }) => {
          const yes = snapshot.acknowledged.includes(id);
          return (
            <li key={id}>
              <label>
                <Checkbox
                  id={`caution-${id}`}
                  checked={yes}
                  onChange={() => void send({ name: 'acknowledge', cautionId: id, yes: !yes })}
                />
                <span>{text}</span>
              </label>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function MakeSheet({ open }: { open: readonly string[] }) {
  const { snapshot, send, sending } = useJob();
  const {
    value: reason,
    set: setReason,
    forget,
  } = useKept(`${snapshot.job.id}.openReason`, () => '');
  const [trouble, setTrouble] = useState('');
  const untold = HANDOVER_CAUTIONS.some(({ id }) => !snapshot.acknowledged.includes(id));
  const revision = (snapshot.sheets[0]?.revision ?? 0) + 1;
  const make = async () => {
    const answer = await send({ name: 'handOver', openReason: reason });
    setTrouble(answer?.message ?? '');
    if (!answer) forget();
  };
  return (
    <section className="block make-sheet">
      {open.length > 0 && (
        <TextField
          id="open-reason"
          label={w.openReason}
          autoComplete="off"
          value={reason}
          helperText={w.openReasonHint}
          slotProps={{ htmlInput: { maxLength: 300 } }}
          onChange={(event) => setReason(event.target.value)}
        />
      )}
      <div className="actions">
        <Button variant="contained" disabled={untold || sending} onClick={() => void make()}>
          {revision === 1 ? w.make : w.makeAgain(revision)}
        </Button>
        {untold && <span className="soft">{w.blocked}</span>}
      </div>
      {trouble && (
        <p className="note" data-kind="stop" role="alert">
          {trouble}
        </p>
      )}
    </section>
  );
}

function Sheets() {
  const { snapshot } = useJob();
  const { job, sheets, shop, today } = snapshot;
  return (
    <section className="block">
      <h3>{w.sheets}</h3>
      {sheets.length === 0 ? (
        <p className="soft">{w.noSheets}</p>
      ) : (
        <ul className="rows sheet-rows">
          {sheets.map(({ revision, at, who }) => {
            const api = `/api/v1/jobs/${job.id}/sheets/${revision}`;
            return (
              <li key={revision}>
                <b>{w.revision(revision)}</b>
                <span className="soft">
                  {whenText(at, shop.timeZone, today)}, {who}
                </span>
                <span className="sheet-links">
                  <Link href={`/jobs/${job.id}/sheet/${revision}`}>{w.page}</Link>
                  <a href={`${api}/pdf?paper=A4`}>{w.a4}</a>
                  <a href={`${api}/pdf?paper=LETTER`}>{w.letter}</a>
                  <a href={api}>{w.json}</a>
                </span>
              </li>
            );
          })}
        </ul>
      )}
      {job.deliveredAt !== null && <TakeBack />}
    </section>
  );
}

/** Signed too early, or the bow came back: with a reason the job is open again. */
function TakeBack() {
  const { send } = useJob();
  const [asking, setAsking] = useState(false);
  return (
    <>
      <Button variant="text" onClick={() => setAsking(true)}>
        {w.takeBack}
      </Button>
      {asking && (
        <ReasonPanel
          title={w.takeBack}
          text={w.takeBackText}
          action={w.takeBack}
          onReason={(reason) => send({ name: 'takeBackHandover', reason })}
          onClose={() => setAsking(false)}
        />
      )}
    </>
  );
}
