'use client';
import { USUAL_FIRST_M } from '@/core/flight';
import { levelCosts, levelFlight, type Axis } from '@/core/job';
import { latest, setupValue, type SetupKey } from '@/core/setup';
import { metre, write } from '@/core/units';
import { Text } from '../../pieces/Text';
import { Note } from '../../pieces/texts';
import { useJob } from '../../job/JobProvider';
import { marksWords as m } from '../../words';
import css from './LevelCost.module.css';

const AXES: Partial<Record<SetupKey, Axis>> = {
  firstAxis: 'first',
  secondAxis: 'second',
  thirdAxis: 'third',
};

/** What an axis that is off costs at this archer's distances: the reading's own error, else one degree. */
export function LevelCost({ of }: { of: SetupKey }) {
  const { snapshot, derived } = useJob();
  const axis = AXES[of];
  if (!axis) return null;
  const units = snapshot.shop.units;
  const known = levelFlight(derived);
  if (!known) return null;
  const far = snapshot.job.furthestM ?? 50;
  const distances = [metre(far), metre(Math.max(10, far / 2))];
  const off = Math.abs(latest(derived.history, of)?.si ?? 0);
  const shown = off >= 0.1 ? off : 1;
  const costs = levelCosts(known.flight, USUAL_FIRST_M, distances, shown)[axis];
  if (costs.length === 0) return null;
  const rows = costs
    .map((mm, i) =>
      m.costAt((mm / 10).toFixed(1), write(distances[i]!, 'distance', units, { decimals: 0 })),
    )
    .join(', ');
  const out = off > setupValue(of).tolerance;
  const said = `${m.cost(`${shown.toFixed(1)}°`, rows)}.${known.usual ? ` ${m.costUsual}` : ''}`;
  return out ? (
    <Note sx={{ my: 1 }}>{said}</Note>
  ) : (
    <Text soft className={css.cost}>
      {said}
    </Text>
  );
}
