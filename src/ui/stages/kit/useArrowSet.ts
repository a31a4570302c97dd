'use client';
import { useState } from 'react';
import { readMasses, readScaleLine } from '@/contracts/grain-scale';
import { matchSet } from '@/core/arrow';
import { useDeviceLines } from '../../fields/useDeviceLines';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { arrowWords as w } from '../../words';

type Scale = { readonly state: 'idle' | 'weighing' | 'lost'; readonly message: string };

/** The masses of a finished set as they come, typed or from the scale, and what they say. */
export function useArrowSet() {
  const { snapshot, derived, send } = useJob();
  const { massesG } = snapshot.job.arrows;
  const { value: typed, set: setTyped } = useKept(`${snapshot.job.id}.masses`, () => '');
  const [wrong, setWrong] = useState('');
  const [scale, setScale] = useState<Scale>({ state: 'idle', message: '' });
  const [coming, setComing] = useState<readonly number[]>([]);
  const { listen, close } = useDeviceLines();
  const keep = async (next: readonly number[]) => {
    const answer = await send({ name: 'setArrows', massesG: [...next] });
    setWrong(answer?.message ?? '');
    return answer === null;
  };
  const weigh = () => {
    const found: number[] = [];
    setComing([]);
    setScale({ state: 'weighing', message: '' });
    listen(`/api/v1/jobs/${snapshot.job.id}/devices/grain-scale`, {
      onName: () => undefined,
      onLine: (line) => {
        const read = readScaleLine(line);
        if (read.kind !== 'mass') return;
        found.push(read.massG);
        setComing([...found]);
      },
      onDone: () => {
        // Silence empties nothing that was weighed before.
        if (found.length === 0) return setScale({ state: 'lost', message: w.scaleSilent });
        setScale({ state: 'idle', message: '' });
        void keep(found).then(() => setComing([]));
      },
      onLost: (message) => {
        setScale({ state: 'lost', message });
        if (found.length > 0) void keep(found).then(() => setComing([]));
      },
    });
  };
  const enter = async () => {
    const read = readMasses(typed, snapshot.shop.units.mass);
    if (!read.ok) return setWrong(read.message);
    if (read.massesG.length === 0) return;
    if (await keep([...massesG, ...read.massesG])) setTyped('');
  };
  const shown = coming.length > 0 ? coming : massesG;
  const match = matchSet(shown);
  const idle = () => setScale({ state: 'idle', message: '' });
  return {
    typed,
    setTyped: (text: string) => {
      setTyped(text);
      setWrong('');
    },
    wrong,
    enter,
    scale,
    /** Heard from the scale and not kept yet. */
    coming: coming.length,
    weigh: () => (derived.kit.arrows?.item ? weigh() : setWrong(w.scaleNeedsArrow)),
    stop: () => {
      close();
      idle();
      if (coming.length > 0) void keep(coming).then(() => setComing([]));
    },
    clear: massesG.length > 0 && scale.state !== 'weighing' ? () => void keep([]) : null,
    shown,
    match,
  };
}
