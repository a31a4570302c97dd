'use client';
import Button from '@mui/material/Button';
import { Notice } from '@/ui/frame/Notice';
import { useHealth } from '@/ui/frame/useHealth';
import { broken } from '@/ui/words';

export default function ErrorPage({ reset }: { reset: () => void }) {
  const sick = useHealth();
  return (
    <Notice title={sick?.title ?? broken.title} text={sick?.detail ?? broken.text}>
      <Button variant="contained" onClick={reset}>
        {broken.again}
      </Button>
    </Notice>
  );
}
