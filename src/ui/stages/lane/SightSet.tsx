'use client';
import Link from 'next/link';
import { isFinished } from '@/core/route';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { bench, lane as w } from '../../words';
import { LaneParts } from './LaneParts';
import { LaneStep } from './LaneStep';
import { ThirdAxisShot } from './ThirdAxisShot';
import { useSightSteps } from './useSightSteps';

/** The sight for good: third axis shot in, pins set, tape stuck on. */
export function SightSet() {
  const steps = useSightSteps();
  const { at, href } = useStage();
  const step =
    steps.find(({ id }) => id === at('step')) ??
    steps.find((entry) => !isFinished(entry)) ??
    steps.at(-1);
  return (
    <>
      <main className="work">
        <LaneParts current="sight" />
        {steps.length > 1 && (
          <ul className="value-tabs">
            {steps.map((entry) => (
              <li key={entry.id}>
                <Link
                  className="plain-button"
                  href={href('lane', { part: 'sight', step: entry.id })}
                  scroll={false}
                  aria-current={entry.id === step?.id ? 'step' : undefined}
                >
                  {entry.template.title}{' '}
                  {isFinished(entry) && <span className="soft">{bench.states.done}</span>}
                </Link>
              </li>
            ))}
          </ul>
        )}
        {step?.id === 'thirdAxisShot' && <ThirdAxisShot />}
        {(step?.id === 'tape' || step?.id === 'pins') && (
          <p>
            <Link
              className="strong-link"
              href={href('lane', { part: 'marks', view: step.id })}
              scroll={false}
            >
              {w.toMaker[step.id]}
            </Link>
          </p>
        )}
        {step ? (
          <LaneStep key={step.id} step={step} nextPart="marks" nextName={w.marks} />
        ) : (
          <p className="note">{w.noSightSteps}</p>
        )}
      </main>
      <Margin
        because={[w.because.sight]}
        watch={(step?.template.watch ?? []).map((text) => ({ id: text, text }))}
      />
    </>
  );
}
