'use client';
import { useEffect, useRef, useState } from 'react';
import type { RowChange } from '@/contracts/csv';
import { useKept } from '../keep/useKept';
import { post } from '../keep/post';
import { NO_TICKS, ticksBody } from './ChangeList';
import { useTextFile } from './useTextFile';

interface Fault {
  readonly line: number;
  readonly column: string;
  readonly message: string;
}
interface Answer {
  readonly saved: boolean;
  readonly added: number;
  readonly changed: number;
  readonly same: number;
  readonly rows: readonly RowChange[];
  readonly faults: readonly Fault[];
  readonly faultCount: number;
}

/**
 * A file of bows: looked at as soon as it is there, again after a reload; then the good rows are kept, or
 * the whole of it is taken or refused.
 */
export function useBowImport(onDone: () => void) {
  const { value: text, set: setText, settled, found } = useKept('import.bows', () => '');
  const [looked, setLooked] = useState<Answer | null>(null);
  const [trouble, setTrouble] = useState('');
  const [ticks, setTicks] = useState(NO_TICKS);
  const send = (mode: 'check' | 'keepGood' | 'allOrNone', body = text) =>
    post<Answer>('/api/v1/shop/bows/file', { text: body, mode, ...ticksBody(ticks) });
  const look = async (next: string) => {
    setText(next);
    setLooked(null);
    setTicks(NO_TICKS);
    setTrouble('');
    if (next.trim() === '') return;
    const answer = await send('check', next);
    if (answer.ok) setLooked(answer.body);
    else setTrouble(answer.message);
  };
  const take = async (mode: 'keepGood' | 'allOrNone') => {
    const answer = await send(mode);
    if (!answer.ok) return setTrouble(answer.message);
    settled();
    onDone();
  };
  const lookAgain = useRef(look);
  useEffect(() => {
    lookAgain.current = look;
  });
  useEffect(() => {
    // Pasted before and not taken: looked at again as it stands.
    if (found) void lookAgain.current(text);
  }, [found]);
  const file = useTextFile((next) => void look(next));
  const jumps = looked?.rows.filter(({ jump }) => jump) ?? [];
  const rows = looked?.rows.filter(({ jump }) => !jump) ?? [];
  const good = looked ? looked.added + looked.changed + looked.same : 0;
  // What is unticked stays as it is.
  const taken = good - ticks.except.size - (jumps.length - ticks.jumps.size);
  return { text, look, looked, trouble, ticks, setTicks, take, file, jumps, rows, good, taken };
}
