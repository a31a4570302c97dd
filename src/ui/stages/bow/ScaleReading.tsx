'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { readBowScaleLine, type BowScaleLine } from '@/contracts/bow-scale';
import { write } from '@/core/units';
import { Text } from '../../pieces/Text';
import { useDevice } from '../../fields/useDevice';
import { useJob } from '../../job/JobProvider';
import { devices as d } from '../../words';
import { Actions } from '../../pieces/layout';
import { Note } from '../../pieces/texts';
import css from './ScaleReading.module.css';

type Force = Extract<BowScaleLine, { kind: 'pull' | 'peak' }>;

/** The bow scale's word for one draw: seen rising, its peak taken as the weighing. */
export function ScaleReading({
  turns,
  onPeak,
}: {
  /** Where the bolts stand; null where that is not known. */
  turns: number | null;
  /** Takes the peak; null when it was saved, else why not. */
  onPeak: (forceN: number, device: string) => Promise<string | null>;
}) {
  const { snapshot } = useJob();
  const [trouble, setTrouble] = useState('');
  const scale = useDevice<Force>(snapshot.job.id, 'bow-scale', (line) => {
    const heard = readBowScaleLine(line);
    if (heard.kind === 'junk') return 'junk';
    return heard.kind === 'pull' || heard.kind === 'peak' ? { reading: heard } : 'nothing';
  });
  const listen = () =>
    scale.start(turns === null ? {} : { turns }, (got, device) => {
      const peak = got.find(({ kind }) => kind === 'peak');
      // Without its last line the draw was not finished: nothing is taken for a weighing.
      if (!peak) return;
      void onPeak(peak.forceN, device).then((answer) => {
        setTrouble(answer ?? '');
        if (answer === null) scale.clear();
      });
    });
  const now = scale.got.at(-1);
  return (
    <Actions className={css.scaleReading}>
      {scale.state === 'live' ? (
        <>
          <Button variant="outlined" size="small" onClick={scale.clear}>
            {d.stop}
          </Button>
          {now && (
            <Text variant="figure" as="b" role="status">
              {write(now.forceN, 'force', snapshot.shop.units)}
            </Text>
          )}
        </>
      ) : (
        <Button variant="outlined" size="small" onClick={listen}>
          {d.weigh}
        </Button>
      )}
      {(scale.message || trouble) && <Note role="alert">{scale.message || trouble}</Note>}
    </Actions>
  );
}
