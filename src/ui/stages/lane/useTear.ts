'use client';
import { useState } from 'react';
import { readPracticeLine } from '@/contracts/practice-archer';
import { laneEntry } from '@/core/job';
import { latest } from '@/core/setup';
import type { Tear } from '@/core/tuning';
import { read } from '@/core/units';
import { useDevice } from '../../fields/useDevice';
import { useJob } from '../../job/JobProvider';
import { useDraft } from '../../keep/useDraft';
import { useKept } from '../../keep/useKept';

const FAR_M = 2.6;
const CENTRE: Tear = { rightMm: 0, upMm: 0 };

/** A tear as it is tapped, typed or shot by the practice archer, until it is noted. */
export function useTear() {
  const { snapshot, derived, send } = useJob();
  const units = snapshot.shop.units;
  const draft = `${snapshot.job.id}.tear`;
  const [rightText, putRight] = useDraft(`${draft}.r`);
  const [upText, putUp] = useDraft(`${draft}.u`);
  const text = { right: rightText, up: upText };
  const [tapping, setTapping] = useState<'nock' | 'point'>('nock');
  const [point, setPoint] = useState<Tear>(CENTRE);
  const { value: distance, set: setDistance } = useKept<string>(`${draft}.far`, () =>
    units.distance === 'yd' ? '7 ft' : '2 m',
  );
  const [trouble, setTrouble] = useState('');
  const [again, setAgain] = useState(0);
  const archer = useDevice(snapshot.job.id, 'practice-archer', (line) => {
    const heard = readPracticeLine(line);
    if (heard.kind === 'junk') return 'junk';
    return heard.kind === 'tear' ? { reading: heard } : 'nothing';
  });
  const options = { right: laneEntry('tearRight', units), up: laneEntry('tearUp', units) };
  const right = read(text.right, options.right);
  const up = read(text.up, options.up);
  const far = read(distance, laneEntry('paperDistance', units));
  const last = latest(derived.history, 'paperTear');
  const setText = (next: { right: string; up: string }) => {
    putRight(next.right);
    putUp(next.up);
    setTrouble('');
  };
  const note = async (tear: { right: string; up: string }) => {
    const answer = await send({ name: 'takeTear', ...tear, distance });
    setTrouble(answer?.message ?? '');
    if (answer) return;
    setText({ right: '', up: '' });
    setPoint(CENTRE);
  };
  const submit = () => {
    if (!right.ok || !up.ok)
      return setTrouble(!right.ok ? right.message : !up.ok ? up.message : '');
    if (!far.ok) return setTrouble(far.message);
    void note(text);
  };
  const practise = () => {
    setAgain(again + 1);
    archer.start({ what: 'paper', again }, (got) => {
      const { rightMm, upMm } = got[0]!;
      setText({ right: `${Math.round(rightMm)} mm`, up: `${Math.round(upMm)} mm` });
    });
  };
  const tap = (at: Tear) => {
    if (tapping === 'point') {
      setPoint({ rightMm: Math.round(at.rightMm), upMm: Math.round(at.upMm) });
      return setTapping('nock');
    }
    setText({
      right: `${Math.round(at.rightMm - point.rightMm)} mm`,
      up: `${Math.round(at.upMm - point.upMm)} mm`,
    });
  };
  return {
    text,
    setText,
    options,
    right,
    up,
    far,
    distance,
    setDistance,
    tapping,
    setTapping,
    point,
    tap,
    submit,
    practise,
    /** Both sides, once both are understood. */
    tear: right.ok && up.ok ? { rightMm: right.si, upMm: up.si } : null,
    last: last ? { rightMm: last.si ?? 0, upMm: last.si2 ?? 0 } : null,
    tooFar: far.ok && far.si > FAR_M,
    practising: archer.state === 'live',
    trouble: trouble || archer.message,
  };
}
