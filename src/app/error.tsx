'use client';
import Button from '@mui/material/Button';
import { Notice } from '@/ui/frame/Notice';

export default function ErrorPage({ reset }: { reset: () => void }) {
  return (
    <Notice
      title="Something broke here"
      text="Nothing that was saved is lost. Try again; if it happens twice, restart the program."
    >
      <Button variant="contained" onClick={reset}>
        Try again
      </Button>
    </Notice>
  );
}
