'use client';
import { useEffect, useRef } from 'react';
import Link from 'next/link';
import { frame } from '../words';
import { Ticks } from '../drawings/Ticks';
import { useJob } from './JobProvider';
import { useStage } from './useStage';
import css from './StageRail.module.css';

/** The eight stages on a measuring tape, each with what is open. */
export function StageRail() {
  const { states } = useJob();
  const { stage, href } = useStage();
  const rail = useRef<HTMLElement>(null);
  useEffect(() => {
    // On a telephone the tape is pulled along to where the work is.
    const here = rail.current?.querySelector<HTMLElement>('[aria-current]');
    if (here && rail.current) rail.current.scrollLeft = here.offsetLeft - here.offsetWidth / 2;
  }, [stage]);
  return (
    <nav className={css.rail} data-part="rail" ref={rail} aria-label={frame.stages}>
      {states.map(({ id, name, note, state }, i) => (
        <Link
          key={id}
          href={href(id)}
          scroll={false}
          prefetch={false}
          data-state={state}
          aria-current={id === stage ? 'step' : undefined}
        >
          <span className={css.stageName}>{name}</span>
          <span className={css.stageKey}>{i + 1}</span>
          <span className={css.stageNote}>{state === 'done' ? `✓ ${note}` : note}</span>
        </Link>
      ))}
      <Ticks className={css.ticks} />
    </nav>
  );
}
