'use client';
import { usePathname } from 'next/navigation';
import Button from '@mui/material/Button';
import { STAGE_HINTS, stageOf } from '@/core/job';
import { useShell } from '../frame/useShell';
import { useOnTablet } from '../keep/on-tablet';
import { Note } from '../pieces/texts';
import { firstWords as w } from '../words';

/** What a stage is for, in a shop that is being opened; gone once it was seen on this tablet. */
export function StageHint() {
  const { hints } = useShell();
  const stage = stageOf(usePathname());
  return hints && stage ? <Hint key={stage} stage={stage} /> : null;
}

function Hint({ stage }: { stage: keyof typeof STAGE_HINTS }) {
  const [seen, set] = useOnTablet(`waffenrad.hint.${stage}`);
  if (seen !== null) return null;
  return (
    <Note
      kind="good"
      sx={{ mb: 1.5 }}
      data-part="hint"
      action={
        <Button variant="text" onClick={() => set('seen')}>
          {w.hintSeen}
        </Button>
      }
    >
      <b>{w.hint}:</b> {STAGE_HINTS[stage]}
    </Note>
  );
}
