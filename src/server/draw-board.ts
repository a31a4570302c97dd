import { drawBoardStandIn } from '@/devices/stand-ins/draw-board';
import { seedOf } from '@/core/numerics';
import { derive } from '@/core/job';
import { latest } from '@/core/route';
import { mm, newton } from '@/core/units';
import { notFound, Problem } from './problem';
import { loadSnapshot } from './snapshot';

const PAUSE_MS = 25;

/** A draw board with this job's bow in it, set as the readings say. */
export function drawBoardOf(jobId: string, pulledAfter?: number) {
  const snapshot = loadSnapshot(jobId);
  if (!snapshot) throw notFound('job');
  const { bow } = snapshot;
  const { context, history } = derive(snapshot);
  const length = latest(history, 'drawLength')?.si ?? context.moduleStepMm;
  const peak = latest(history, 'peakWeight')?.si ?? context.peakTargetN;
  if (!bow || length === null || peak === null)
    throw new Problem(422, 'nothing-to-draw', 'There is nothing on the draw board', {
      detail: 'The draw board needs a bow with its module and weight set: do that first.',
    });
  return drawBoardStandIn({
    curve: {
      drawLengthMm: mm(length),
      peakN: newton(peak),
      braceHeightMm: bow.braceHeightMm,
      letOff: bow.letOff,
      character: bow.character,
    },
    seed: seedOf(`${bow.id}|${snapshot.job.version}`),
    pauseMs: PAUSE_MS,
    ...(pulledAfter === undefined ? {} : { pulledAfter }),
  });
}
