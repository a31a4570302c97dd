'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { untoldLines } from '@/core/elsewhere';
import { lookState, notDrawn } from '@/core/job';
import Link from 'next/link';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { Work } from '../../job/Work';
import { Actions, Block, Rows } from '../../pieces/layout';
import { FieldError, Note } from '../../pieces/texts';
import { bow as bowWords, elsewhere as w } from '../../words';
import { BowParts } from './BowParts';
import { BoxKit } from './BoxKit';
import { BringBow } from './BringBow';
import { GuidedLook } from './GuidedLook';
import { Service } from './Service';
import { ToldBow } from './ToldBow';
import type { BowOffer } from '@/core/bow';

/** A bow that was not bought here: taken in, looked over, its kit, and what of the work is wanted. */
export function TheirOwn({ offers }: { offers: readonly BowOffer[] }) {
  const { snapshot } = useJob();
  const { bow, job, sameSerial } = snapshot;
  const brought = bow !== null && job.elsewhere !== null;
  const untold = brought ? untoldLines(bow) : [];
  const why = notDrawn(job);
  return (
    <>
      <Work>
        <BowParts current="own" />
        {!brought && <BringBow offers={offers} />}
        {brought && (
          <>
            {why ? (
              <Note kind={lookState(job)!.stops.length > 0 ? 'stop' : 'care'} role="status">
                {why.message}
              </Note>
            ) : (
              <Note kind="good" role="status">
                {w.mayBeDrawn}
              </Note>
            )}
            {sameSerial.length > 0 && (
              <Note kind="again">
                <b>{w.serial}</b>
                <br />
                {w.serialText}{' '}
                {sameSerial.map(({ jobId, number }) => (
                  <Link key={jobId} href={`/jobs/${jobId}/handover`} prefetch={false}>
                    {w.ticket(number)}
                  </Link>
                ))}
              </Note>
            )}
            <GuidedLook />
            {untold.length > 0 && (
              <Block>
                <h3>{w.untold}</h3>
                <Rows data-part="untold">
                  {untold.map((line) => (
                    <li key={line}>{line}</li>
                  ))}
                </Rows>
              </Block>
            )}
            <Told />
            <BoxKit />
            <Service />
          </>
        )}
      </Work>
      <Margin
        because={[w.because.factory, w.because.dryFire, w.because.unknown]}
        watch={[{ id: 'manual', text: bowWords.watch.manual }]}
      />
    </>
  );
}

/** What was told is corrected, the limit of turns told at last; or the bow goes as it came. */
function Told() {
  const { snapshot, send, sending } = useJob();
  const [open, setOpen] = useState(false);
  const [trouble, setTrouble] = useState('');
  const { bow, job } = snapshot;
  const takeBack = async () =>
    setTrouble((await send({ name: 'chooseBow', bowId: null }))?.message ?? '');
  return (
    <>
      <Actions>
        {bow!.brought && !open && (
          <Button variant="outlined" onClick={() => setOpen(true)}>
            {w.retell}
          </Button>
        )}
        <Button variant="text" disabled={sending} onClick={() => void takeBack()}>
          {w.takeBack}
        </Button>
        <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
      </Actions>
      {open && <ToldBow came={job.elsewhere!.came} bow={bow} onDone={() => setOpen(false)} />}
    </>
  );
}
