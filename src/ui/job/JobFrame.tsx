'use client';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useSearchParams } from 'next/navigation';
import Button from '@mui/material/Button';
import { jobTotal } from '@/core/quote';
import { STAGES } from '@/core/setup';
import { writeMoney } from '@/core/units';
import { Text } from '../pieces/Text';
import { warmPages } from '../keep/connection';
import { Brand } from '../frame/Brand';
import { Panel } from '../frame/Panel';
import { TopTools } from '../frame/TopTools';
import { useKeys } from '../frame/useKeys';
import { dayText } from '../fields/dates';
import { frame } from '../words';
import { rememberPlace } from '../keep/remember-place';
import { Actions, Rows } from '../pieces/layout';
import { AgainStrip } from './AgainStrip';
import { BowMap } from './BowMap';
import { DockPlace } from './Dock';
import { useJob } from './JobProvider';
import { StageRail } from './StageRail';
import { useStage } from './useStage';
import { useUndo } from './useUndo';
import topCss from '../frame/Top.module.css';
import css from './JobFrame.module.css';

/** So long a job is open before its other stages are fetched for a moment without a connection, ms. */
const WARM_AFTER_MS = 5000;

/** The frame of a job: who and what on top, stage rail, bow map, the work, what is to do again. */
export function JobFrame({ children }: { children: ReactNode }) {
  const { go, stage } = useStage();
  const { snapshot } = useJob();
  const undoing = useUndo();
  const jobId = snapshot.job.id;
  const query = useSearchParams().toString();
  useKeys({
    ...Object.fromEntries(STAGES.map(({ id }, i) => [`g ${i + 1}`, () => go(id)])),
    z: undoing.undo,
    Z: undoing.redo,
    h: undoing.showHistory,
    m: () => document.querySelector<HTMLElement>('[data-measure]')?.focus(),
  });
  useEffect(() => {
    // The bench tells its step itself.
    if (stage !== 'bench') rememberPlace(jobId, query ? `${stage}?${query}` : stage);
  }, [jobId, stage, query]);
  useEffect(() => {
    const stages = STAGES.map(({ id }) => `/jobs/${jobId}/${id}`);
    const timer = setTimeout(() => warmPages(stages), WARM_AFTER_MS);
    return () => clearTimeout(timer);
  }, [jobId]);
  const [dock, setDock] = useState<HTMLElement | null>(null);
  const body = useRef<HTMLDivElement>(null);
  useEffect(() => {
    // On small screens everything above the dock scrolls as one: another screen begins at its top.
    body.current?.scrollTo?.({ top: 0 });
  }, [stage, query]);
  return (
    <div className={css.job} data-frame="job" data-hand={snapshot.archer.hand}>
      <div className={css.jobBody} data-part="job-body" ref={body}>
        <JobTop />
        <StageRail />
        <BowMap />
        <DockPlace value={dock}>{children}</DockPlace>
      </div>
      <section className={css.dock} data-dock="" aria-label={frame.dock} ref={setDock} />
      <AgainStrip undoing={undoing} />
      {undoing.open}
      <ConflictPanel />
    </div>
  );
}

function JobTop() {
  const { snapshot, derived } = useJob();
  const { archer, bow, job } = snapshot;
  const about = [
    bow ? bow.model : null,
    `${archer.hand} hand`,
    archer.minor ? `minor${archer.guardianName ? `, with ${archer.guardianName}` : ''}` : null,
  ].filter(Boolean);
  const { totalCents: total } = jobTotal(snapshot, derived);
  const over = job.budgetCents !== null && total > job.budgetCents;
  return (
    <header className={topCss.top} data-part="top">
      <Brand />
      <h1>{archer.name}</h1>
      <span className={topCss.about}>{about.join(' · ')}</span>
      <div className={topCss.facts}>
        <span>
          {frame.promised}{' '}
          <b>{job.promisedDay ? dayText(job.promisedDay, snapshot.today) : frame.noDate}</b>
        </span>
        <span className={css.wideOnly}>
          {frame.package} <b data-over={over}>{writeMoney(total)}</b>
          {job.budgetCents !== null && <> {frame.ofBudget(writeMoney(job.budgetCents))}</>}
        </span>
        <TopTools />
      </div>
    </header>
  );
}

function ConflictPanel() {
  const { conflict, clearConflict } = useJob();
  if (!conflict) return null;
  return (
    <Panel title={frame.conflictTitle} onClose={clearConflict}>
      <p>{frame.conflictText}</p>
      <Rows className={css.conflict} data-part="conflict">
        {conflict.map((event) => (
          <li key={event.id}>
            <b>{event.summary}</b>{' '}
            <Text soft as="span">
              {event.who}
            </Text>
          </li>
        ))}
      </Rows>
      <Actions>
        <Button variant="contained" autoFocus onClick={clearConflict}>
          {frame.conflictOk}
        </Button>
      </Actions>
    </Panel>
  );
}
