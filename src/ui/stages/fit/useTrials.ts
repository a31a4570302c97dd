'use client';
import { useRef, useState } from 'react';
import type { TrialOutcome } from '@/core/fit';
import { weightTrials } from '@/core/job';
import { secondsText } from '../../fields/StopWatch';
import { useJob } from '../../job/JobProvider';

/** Trials of the draw weight: taking one with how it went and how long it was held, and the stop after pain. */
export function useTrials() {
  const { snapshot, send } = useJob();
  const trials = weightTrials(snapshot.fitReadings, snapshot.archer);
  const entered = useRef('');
  const [held, hold] = useState<number | null>(null);
  const [watch, setWatch] = useState(0);
  // Pain stops the trials, until somebody says that a doctor has agreed; the next one that hurts stops
  // them again.
  const [agreed, setAgreed] = useState(0);
  const take = (choice: TrialOutcome) => async () => {
    const timed = held === null ? {} : { entered2: secondsText(held) };
    const trouble = await send({
      name: 'takeReadings',
      readings: [{ key: 'weightTrial', entered: entered.current, choice, ...timed }],
    });
    if (trouble) return trouble;
    hold(null);
    setWatch((n) => n + 1);
    return null;
  };
  return {
    trials,
    /** One of them hurt, and nobody has said since that the archer may go on. */
    hurt: trials.slice(agreed).some(({ outcome }) => outcome === 'pain'),
    agree: () => setAgreed(trials.length),
    /** What is written in the field. */
    entered,
    take,
    /** Seconds the stop watch shows; empty again after every trial. */
    hold,
    /** A new watch after every trial. */
    watch,
  };
}
