'use client';
import { useEffect, useState } from 'react';
import Button from '@mui/material/Button';
import { actedAt } from '../pieces/acted-at';
import { Text } from '../pieces/Text';
import { fit as w } from '../words';
import css from './StopWatch.module.css';

/** Seconds to a tenth, as they are said. */
export const secondsText = (seconds: number) => seconds.toFixed(1);

/** Starts and stops by one tap; what it says when it stops is handed on, null when cleared. */
export function StopWatch({ onSeconds }: { onSeconds: (seconds: number | null) => void }) {
  const [started, setStarted] = useState<number | null>(null);
  const [seconds, setSeconds] = useState<number | null>(null);
  useEffect(() => {
    if (started === null) return;
    const timer = setInterval(() => setSeconds((performance.now() - started) / 1000), 100);
    return () => clearInterval(timer);
  }, [started]);
  const press = () => {
    if (started === null) {
      setStarted(actedAt());
      setSeconds(0);
      return;
    }
    const held = Math.round((actedAt() - started) / 100) / 10;
    setStarted(null);
    setSeconds(held);
    onSeconds(held);
  };
  return (
    <div className={css.stopwatch}>
      <Button variant="outlined" onClick={press}>
        {started === null ? w.holdStart : w.holdStop}
      </Button>
      <Text aria-label={w.holdLabel} variant="figure" as="output">
        {seconds === null ? '—' : `${secondsText(seconds)} s`}
      </Text>
      {started === null && seconds !== null && (
        <Button
          variant="text"
          onClick={() => {
            setSeconds(null);
            onSeconds(null);
          }}
        >
          {w.holdClear}
        </Button>
      )}
    </div>
  );
}
