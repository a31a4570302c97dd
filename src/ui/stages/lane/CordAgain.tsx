'use client';
import { Margin } from '../../job/Margin';
import { lane as w } from '../../words';
import { Work } from '../../job/Work';
import { Note } from '../../pieces/texts';
import { LaneParts } from './LaneParts';
import { LaneStep } from './LaneStep';
import { useCordStep } from './useCordStep';

/** The cord after paper: tied for good, or taken up. */
export function CordAgain() {
  const step = useCordStep();
  return (
    <>
      <Work>
        <LaneParts current="cord" />
        {step ? (
          <LaneStep step={step} nextPart="speed" nextName={w.speed} />
        ) : (
          <Note>{w.noCord}</Note>
        )}
      </Work>
      <Margin
        because={[w.because.cord]}
        watch={(step?.template.watch ?? []).map((text) => ({ id: text, text }))}
      />
    </>
  );
}
