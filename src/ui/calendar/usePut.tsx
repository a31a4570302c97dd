'use client';
import type { PlacedVisit } from '@/core/calendar';
import { useAsk } from '../frame/useAsk';
import { calendarWords as w } from '../words';
import { whenWords } from './clock';
import type { Calendar } from './useCalendar';

/** Puts a visit somewhere by hand. */
export function usePut(calendar: Calendar) {
  const { view } = calendar;
  const { ask, asking } = useAsk();
  /** An agreed appointment is not moved by a drag: it is asked whether the archer knows. */
  const put = async (visit: PlacedVisit, minute: number): Promise<string | null> => {
    const { appointment } = view.input.jobs.find(({ id }) => id === visit.jobId) ?? {};
    const until = minute + visit.to - visit.from;
    const agreed = appointment && minute >= appointment.from && until <= appointment.to;
    if (visit.archer && appointment && !agreed) {
      const answer = await ask({
        title: w.agreedTitle,
        text: <p>{w.agreed(visit.name, whenWords(view.firstDay, appointment.from))}</p>,
        answers: [
          { id: 'leave', name: w.agreedLeave },
          { id: 'move', name: w.agreedMove },
        ],
      });
      if (answer !== 'move') return null;
    }
    return calendar.put(visit.jobId, visit.visitId, minute);
  };
  return { put, asking };
}
