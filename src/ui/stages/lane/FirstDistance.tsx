'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { archerCautions, confirmedShots } from '@/core/job';
import { latest } from '@/core/setup';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { lane as w } from '../../words';
import { Work } from '../../job/Work';
import { Note } from '../../pieces/texts';
import { Block, Split } from '../../pieces/layout';
import { ConfirmedList } from './ConfirmedList';
import { GroupWork } from './GroupWork';
import { LaneParts } from './LaneParts';
import { ScaleReads } from './ScaleReads';
import { StepNotes } from './StepNotes';

/** Groups on the target: the first distance, then others until the whole scale stands. */
export function FirstDistance() {
  const { snapshot, derived } = useJob();
  const { href } = useStage();
  const step = derived.plan.steps.find(({ id }) => id === 'firstMark')!;
  const radius = latest(derived.history, 'peepToPin')?.si ?? null;
  const shots = confirmedShots(derived);
  return (
    <>
      <Work>
        <LaneParts current="first" />
        <StepNotes step={step} say={shots.length === 0} />
        {radius === null ? (
          <>
            <Note>{w.needPin}</Note>
            <Button
              component={Link}
              variant="contained"
              href={href('bench', { step: 'trueHeights' })}
            >
              {w.toBench}
            </Button>
          </>
        ) : (
          <>
            <GroupWork key={shots.length} radiusMm={radius} />
            <Block as={Split}>
              <ConfirmedList />
              {shots.length > 0 && <ScaleReads />}
            </Block>
          </>
        )}
      </Work>
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
