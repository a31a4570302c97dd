'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { clockOfMinute, dayOfMinute, type CalendarGlance, type CalendarView } from '@/core/job';
import type { CalendarPlan } from '@/core/calendar';
import type { CalendarSaid, JobRemedies } from '@/workers/calendar';
import { post } from '../keep/post';
import { askShop } from '../keep/ask-shop';

export interface Calendar {
  readonly view: CalendarView;
  /** The best plan so far. */
  readonly plan: CalendarPlan;
  readonly remedies: readonly JobRemedies[];
  /** 0 to 1 while it is looked for; null when it stands. */
  readonly part: number | null;
  readonly stop: () => void;
  /** Puts a visit at a minute, or lets it go with null; what was wrong, or null. */
  readonly put: (jobId: string, visitId: string, minute: number | null) => Promise<string | null>;
  readonly trouble: string;
}

const NOTHING_PLANNED = { now: 0, stations: {}, people: [], jobs: [] } as const;

/** A plan of one day, and the whole calendar as soon as the page stands. */
export function useCalendarOf(glance: CalendarGlance): Calendar {
  const [first, setFirst] = useState<CalendarView>({ ...glance, input: NOTHING_PLANNED });
  useEffect(() => {
    let gone = false;
    askShop('/api/v1/calendar')
      .then((response) => (response.ok ? (response.json() as Promise<CalendarView>) : null))
      // Without it the day stands as the server planned it.
      .then((whole) => whole && !gone && setFirst(whole))
      .catch(() => undefined);
    return () => {
      gone = true;
    };
  }, [glance]);
  return useCalendar(first);
}

/** Fewer minutes late, or as few and ready earlier. */
const better = (a: CalendarPlan, b: CalendarPlan) =>
  a.unplaced.length - b.unplaced.length || a.lateness - b.lateness;

/** The plan as the server first gave it, made better by a thread of the page's own. */
export function useCalendar(first: CalendarView): Calendar {
  const [view, setView] = useState(first);
  const [plan, setPlan] = useState(first.plan);
  const [remedies, setRemedies] = useState<readonly JobRemedies[]>([]);
  const [part, setPart] = useState<number | null>(null);
  const [trouble, setTrouble] = useState('');
  const thread = useRef<Worker | null>(null);
  const stop = useCallback(() => {
    thread.current?.terminate();
    thread.current = null;
    setPart(null);
  }, []);
  // The page was asked for anew: what the server says now counts.
  useEffect(() => setView(first), [first]);
  useEffect(() => {
    setPlan(view.plan);
    setRemedies([]);
    if (view.input.jobs.length === 0 || typeof Worker === 'undefined') return;
    const worker = new Worker(new URL('../../workers/calendar.worker.ts', import.meta.url));
    thread.current = worker;
    setPart(0);
    worker.onmessage = ({ data }: MessageEvent<CalendarSaid>) => {
      if (data.say === 'refused') return stop();
      // As good as the one on the screen is no reason to move everything about.
      setPlan((shown) => (better(data.plan, shown) < 0 ? data.plan : shown));
      if (data.say === 'progress') return setPart(data.part);
      setRemedies(data.remedies);
      setPart(null);
    };
    worker.onerror = stop;
    worker.postMessage(view.input);
    return stop;
  }, [view, stop]);
  const put = async (jobId: string, visitId: string, minute: number | null) => {
    const at =
      minute === null
        ? null
        : { day: dayOfMinute(view.firstDay, minute), minutes: clockOfMinute(minute) };
    const answer = await post<CalendarView>(
      '/api/v1/calendar/visits',
      { jobId, visitId, at },
      'PUT',
    );
    setTrouble(answer.ok ? '' : answer.message);
    if (answer.ok) setView(answer.body);
    return answer.ok ? null : answer.message;
  };
  return { view, plan, remedies, part, stop, put, trouble };
}
