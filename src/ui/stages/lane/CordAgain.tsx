'use client';
import { Margin } from '../../job/Margin';
import { lane as w } from '../../words';
import { LaneParts } from './LaneParts';
import { LaneStep } from './LaneStep';
import { useCordStep } from './useCordStep';

/** The cord after paper: tied for good, or taken up. */
export function CordAgain() {
  const step = useCordStep();
  return (
    <>
      <main className="work">
        <LaneParts current="cord" />
        {step ? (
          <LaneStep step={step} nextPart="speed" nextName={w.speed} />
        ) : (
          <p className="note">{w.noCord}</p>
        )}
      </main>
      <Margin
        because={[w.because.cord]}
        watch={(step?.template.watch ?? []).map((text) => ({ id: text, text }))}
      />
    </>
  );
}
