'use client';
import Button from '@mui/material/Button';
import { broken } from '../words';
import { Notice } from './Notice';
import { useHealth } from './useHealth';

/** A page that could not be drawn: what is wrong with the shop’s file where that is known, else the text. */
export function BrokenPage({
  title,
  text,
  reset,
}: {
  title: string;
  text: string;
  reset: () => void;
}) {
  const sick = useHealth();
  return (
    <Notice title={sick?.title ?? title} text={sick?.detail ?? text}>
      <Button variant="contained" onClick={reset}>
        {broken.again}
      </Button>
    </Notice>
  );
}
