'use client';
import { jobMarks, markDistances } from '@/core/job';
import { isFinished } from '@/core/route';
import { latest, type SetupKey } from '@/core/setup';
import { write } from '@/core/units';
import { AgainNote } from '../../job/AgainNote';
import { useJob } from '../../job/JobProvider';
import { Parts } from '../../job/Parts';
import { useStage } from '../../job/useStage';
import { frame, lane as w } from '../../words';
import { useCordStep } from './useCordStep';
import { useSightSteps } from './useSightSteps';
import css from './LaneParts.module.css';

/** What each part of the lane takes: to be taken again it says so there. */
const KEYS: Readonly<Record<string, readonly SetupKey[]>> = {
  paper: ['paperTear'],
  cord: ['cordSettled', 'cordTied'],
  speed: ['arrowSpeed', 'speedOther'],
  first: ['firstMark'],
  sight: ['pins', 'tape'],
  marks: ['markShot'],
};

/** The parts of the lane with what each has brought. */
export function LaneParts({ current }: { current: string }) {
  const { snapshot, derived } = useJob();
  const { href } = useStage();
  const units = snapshot.shop.units;
  const tear = latest(derived.history, 'paperTear');
  const speed = latest(derived.history, 'arrowSpeed')?.si ?? null;
  const first = latest(derived.history, 'firstMark')?.si ?? null;
  const { answer, shots } = jobMarks(
    derived,
    markDistances(snapshot.job.furthestM, units.distance),
  );
  const cord = useCordStep();
  const sight = useSightSteps();
  const count = answer.ok ? answer.marks.length : null;
  const again = (id: string) =>
    derived.plan.stale.some(({ key }) => (KEYS[id] ?? []).includes(key));
  const part = (id: string, name: string, value: string | null) => ({
    id,
    name,
    href: href('lane', { part: id }),
    value: again(id) ? <span className={css.againWord}>{frame.againTag}</span> : (value ?? w.none),
  });
  return (
    <>
      <Parts
        many={sight.length > 0 && cord !== null}
        current={current}
        parts={[
          part('paper', w.paper, tear && w.tearLength(Math.hypot(tear.si ?? 0, tear.si2 ?? 0))),
          ...(cord ? [part('cord', w.cord, isFinished(cord) ? w.cordDone : null)] : []),
          part('speed', w.speed, speed === null ? null : write(speed, 'speed', units)),
          part(
            'first',
            w.first,
            first === null
              ? null
              : `${write(first, 'distance', units, { decimals: 0 })}${shots.length > 1 ? w.andMore(shots.length - 1) : ''}`,
          ),
          ...(sight.length > 0
            ? [part('sight', w.sight, sight.every(isFinished) ? w.sightDone : null)]
            : []),
          part('marks', w.marks, count === null ? null : w.countMarks(count)),
        ]}
      />
      <AgainNote of={KEYS[current] ?? []} />
    </>
  );
}
