'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { isFinished } from '@/core/route';
import { Text } from '../../pieces/Text';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { bench, lane as w } from '../../words';
import { Work } from '../../job/Work';
import { ValueTabs } from '../../pieces/layout';
import { Note } from '../../pieces/texts';
import { LaneParts } from './LaneParts';
import { LaneStep } from './LaneStep';
import { ThirdAxisShot } from './ThirdAxisShot';
import { useSightSteps } from './useSightSteps';
import css from './SightSet.module.css';

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
      <Work>
        <LaneParts current="sight" />
        {steps.length > 1 && (
          <ValueTabs>
            {steps.map((entry) => (
              <li key={entry.id}>
                <Button
                  variant="plain"
                  component={Link}
                  href={href('lane', { part: 'sight', step: entry.id })}
                  scroll={false}
                  aria-current={entry.id === step?.id ? 'step' : undefined}
                >
                  {entry.template.title}{' '}
                  {isFinished(entry) && (
                    <Text soft as="span">
                      {bench.states.done}
                    </Text>
                  )}
                </Button>
              </li>
            ))}
          </ValueTabs>
        )}
        {step?.id === 'thirdAxisShot' && <ThirdAxisShot />}
        {(step?.id === 'tape' || step?.id === 'pins') && (
          <p>
            <Link
              className={css.strongLink}
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
          <Note>{w.noSightSteps}</Note>
        )}
      </Work>
      <Margin
        because={[w.because.sight]}
        watch={(step?.template.watch ?? []).map((text) => ({ id: text, text }))}
      />
    </>
  );
}
