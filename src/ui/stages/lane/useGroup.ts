'use client';
import { useState } from 'react';
import { readPracticeLine } from '@/contracts/practice-archer';
import { group, groupSpread, type Hit } from '@/core/flight';
import {
  confirmedShots,
  laneEntry,
  newestGroup,
  nextGroupDistance,
  predictedDropMm,
} from '@/core/job';
import { metre, mm, read } from '@/core/units';
import { useDevice } from '../../fields/useDevice';
import { useJob } from '../../job/JobProvider';
import { useStage } from '../../job/useStage';
import { useKept } from '../../keep/useKept';

/** Half the target that is shown, mm: from a close look to one that missed it. */
const SPANS_MM = [150, 300, 600, 1200];
const PRACTICE_ARROWS = 3;
/** Distances nearer than this to the first one are the first one, m. */
const OTHER_DISTANCE_M = 0.5;

/** The least span that shows every hit beside those shown already. */
const spanFor = (hits: readonly Hit[], span: number): number => {
  const far = Math.max(0, ...hits.flatMap((hit) => [Math.abs(hit.rightMm), Math.abs(hit.upMm)]));
  const wide = SPANS_MM.findIndex((half) => half > far);
  return Math.max(span, wide < 0 ? SPANS_MM.length - 1 : wide);
};

/** A group on the target as it comes about: hits, distance, what they say, and how it is confirmed. */
export function useGroup(radiusMm: number) {
  const { snapshot, derived, send } = useJob();
  const { go } = useStage();
  const { units } = snapshot.shop;
  const first = confirmedShots(derived)[0]?.distanceM ?? null;
  const kept = `${snapshot.job.id}.group`;
  const distance = useKept(`${kept}.distance`, () =>
    nextGroupDistance(first, snapshot.job.furthestM, units.distance),
  );
  const hits = useKept<readonly Hit[]>(`${kept}.hits`, () => []);
  const typedDrop = useKept<string | null>(`${kept}.drop`, () => null);
  const [span, setSpan] = useState(1);
  const [moved, setMoved] = useState({ right: 0, up: 0 });
  const [trouble, setTrouble] = useState('');
  const far = read(distance.value, laneEntry('distance', units));
  const further = first !== null && far.ok && Math.abs(far.si - first) >= OTHER_DISTANCE_M;
  const expected = far.ok ? predictedDropMm(derived, far.si) : null;
  const drop = typedDrop.value ?? (expected === null ? '' : `${expected.toFixed(1)} mm`);
  const dropRead = read(drop, laneEntry('pinDrop', units));
  const answer =
    far.ok && hits.value.length > 0
      ? group({ hits: hits.value, distanceM: metre(far.si), peepToPinMm: mm(radiusMm) })
      : null;
  const confirm = async (corrected: boolean) => {
    if (further && !dropRead.ok) return setTrouble(dropRead.message);
    const refused = await send({
      name: 'takeGroup',
      distance: distance.value,
      hits: hits.value.map((hit) => ({ ...hit })),
      ...(further ? { pinDrop: drop, corrected } : {}),
    });
    setTrouble(refused?.message ?? '');
    if (refused) return;
    [distance, hits, typedDrop].forEach(({ settled }) => settled());
    if (first === null) go('lane', { part: 'marks' });
  };
  const archer = useDevice(snapshot.job.id, 'practice-archer', (line) => {
    const heard = readPracticeLine(line);
    if (heard.kind === 'junk') return 'junk';
    return heard.kind === 'hit'
      ? { reading: { rightMm: mm(heard.rightMm), upMm: mm(heard.upMm) } }
      : 'nothing';
  });
  const practise = () =>
    archer.start(
      {
        what: 'target',
        shots: PRACTICE_ARROWS,
        distance: far.ok ? far.si : 18,
        drop: further && dropRead.ok ? dropRead.si : 0,
        pinRight: moved.right,
        pinUp: moved.up,
        again: hits.value.length,
      },
      (got) => {
        hits.set([...hits.value, ...got]);
        setSpan(spanFor(got, span));
      },
    );
  /** The pin is where the group asked for it: shoot again from there. */
  const pinMoved = () => {
    const { rightMm, upMm } = answer!.pinMove!;
    setMoved({ right: moved.right + rightMm, up: moved.up + upMm });
    if (further && dropRead.ok) typedDrop.set(`${(dropRead.si - upMm).toFixed(1)} mm`);
    hits.set([]);
  };
  return {
    first,
    far,
    further,
    expected,
    answer,
    confirm,
    practise,
    pinMoved,
    distance: distance.value,
    setDistance: (text: string) => {
      distance.set(text);
      typedDrop.set(null);
    },
    hits: hits.value,
    add: (hit: Hit) => hits.set([...hits.value, hit]),
    removeLast: () => hits.set(hits.value.slice(0, -1)),
    drop,
    dropRead,
    setDrop: typedDrop.set,
    halfMm: SPANS_MM[span]!,
    closer: span === 0 ? null : () => setSpan(span - 1),
    wider: span === SPANS_MM.length - 1 ? null : () => setSpan(span + 1),
    before: hits.value.length === 0 ? newestGroup(derived) : [],
    spread: hits.value.length > 1 ? groupSpread(hits.value) : null,
    /** Where the pin would stand if it were moved as the group asks, without shooting again. */
    correctedMm:
      further && answer?.adjust && dropRead.ok ? dropRead.si - answer.pinMove!.upMm : null,
    practising: archer.state === 'live',
    trouble: trouble || archer.message,
  };
}
