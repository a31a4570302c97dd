import { itemOf } from '@/core/kit';
import { derive } from '@/core/job';
import { seedOf } from '@/core/numerics';
import { grainScaleStandIn } from '@/devices/stand-ins/grain-scale';
import { notFound, Problem } from './problem';
import { loadSnapshot } from './snapshot';

const PAUSE_MS = 120;

/** A grain scale with this job's arrows beside it. */
export function grainScaleOf(jobId: string, pulledAfter?: number) {
  const snapshot = loadSnapshot(jobId);
  if (!snapshot) throw notFound('job');
  const arrows = itemOf(derive(snapshot).kit, 'arrows');
  if (!arrows)
    throw new Problem(422, 'nothing-to-weigh', 'There is nothing on the scale', {
      detail: 'The scale needs arrows: choose a set or take a build first.',
    });
  return grainScaleStandIn({
    massG: arrows.massG,
    count: arrows.attrs.count,
    seed: seedOf(`${arrows.id}|${arrows.massG}|${snapshot.job.number}`),
    pauseMs: PAUSE_MS,
    ...(pulledAfter === undefined ? {} : { pulledAfter }),
  });
}
