'use client';
import { useEffect, useState, type ComponentType } from 'react';
import { DayChart } from './DayChart';
import type { MovableDayProps } from './MovableDay';

/** A day to read at once; what lets its visits be taken hold of comes when the page stands. */
export function DayPlan({ onPut, ...day }: MovableDayProps) {
  const [Movable, setMovable] = useState<ComponentType<MovableDayProps> | null>(null);
  useEffect(() => {
    void import('./MovableDay').then(
      ({ MovableDay }) => setMovable(() => MovableDay),
      // Without a connection the day is read, and moved by its list.
      () => undefined,
    );
  }, []);
  return Movable ? <Movable {...day} onPut={onPut} /> : <DayChart {...day} />;
}
