'use client';
import { useEffect, useRef, useState } from 'react';
import Button from '@mui/material/Button';
import { writeAimFile } from '@/contracts/aim-file';
import type { AimShot, HoldTrace } from '@/core/hold';
import { latest } from '@/core/setup';
import { read, write } from '@/core/units';
import { AimPath } from '../../drawings/AimPath';
import { TextField } from '../../fields/TextField';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { Actions } from '../../pieces/layout';
import { Text } from '../../pieces/Text';
import { Note } from '../../pieces/texts';
import { aimWords as w } from '../../words';
import css from './OneAim.module.css';
import { askShop } from '../../keep/ask-shop';

interface Samples {
  readonly t: readonly number[];
  readonly r: readonly number[];
  readonly u: readonly number[];
}

/** Their spot where nobody said: the inner ring of many faces. Shop rule. */
const USUAL_SPOT = '80 mm';
const MUCH_HZ = 4;
/** The lowest frequency that is looked for: what is there is slow wander. */
const SLOW_HZ = 0.5;
const SLOWLY = 4;

export const holdShown = ({ hold, releaseS }: HoldTrace) => ({
  fromMs: 1000 * hold.fromS,
  releaseMs: 1000 * releaseS,
  rmsMrad: hold.rmsMrad,
  centre: hold.centre,
});

/** One shot: its path, what it says, played again. */
export function OneAim({ shot }: { shot: AimShot }) {
  const { snapshot, derived } = useJob();
  const units = snapshot.shop.units;
  const { value: spotText, set: setSpot } = useKept<string>(
    `${snapshot.job.id}.aimSpot`,
    () => USUAL_SPOT,
  );
  const spot = read(spotText, {
    quantity: 'length',
    shop: units,
    min: 5,
    max: 1500,
    bareUnit: 'mm',
    what: 'spot',
  });
  const distanceM = latest(derived.history, 'firstMark')?.si ?? snapshot.job.furthestM ?? 18;
  const player = usePlayer(snapshot.job.id, shot.id);
  const save = async () => {
    const samples = await samplesOf(snapshot.job.id, shot.id);
    if (!samples) return;
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([writeAimFile(samples)], { type: 'text/csv' }));
    link.download = `aim-${snapshot.job.number}-${shot.id}.csv`;
    link.click();
    URL.revokeObjectURL(link.href);
  };
  const { result } = shot;
  return (
    <div className={css.one} data-part="one-aim">
      <div className={css.drawing}>
        <AimPath
          path={shot.path}
          hold={result && holdShown(result)}
          spotMrad={spot.ok ? spot.si / distanceM : null}
          now={player.at}
        />
        <Text variant="small" soft as="p">
          {w.legend}
        </Text>
      </div>
      <div>
        {result ? (
          <AimFigures
            result={result}
            distanceM={distanceM}
            distance={write(distanceM, 'distance', units, { decimals: 0 })}
            spot={spot.ok ? `${Math.round(spot.si)} mm` : spotText}
          />
        ) : (
          <Note>{shot.refused}</Note>
        )}
        <TextField
          id="aim-spot"
          label={w.spot}
          value={spotText}
          error={!spot.ok}
          helperText={spot.ok ? '' : spot.message}
          slotProps={{ htmlInput: { maxLength: 20 } }}
          onChange={({ target }) => setSpot(target.value)}
        />
        <Actions>
          <Button variant="outlined" onClick={() => void player.play(1)}>
            {player.at ? w.playing : w.play}
          </Button>
          <Button variant="outlined" onClick={() => void player.play(SLOWLY)}>
            {w.slowly}
          </Button>
          <Button variant="text" onClick={() => void save()}>
            {w.save}
          </Button>
        </Actions>
      </div>
    </div>
  );
}

function AimFigures({
  result: { hold, approach, followThrough },
  distanceM,
  distance,
  spot,
}: {
  result: HoldTrace;
  distanceM: number;
  distance: string;
  spot: string;
}) {
  const mrad = (value: number) => `${value <= -0.005 ? '−' : ''}${Math.abs(value).toFixed(2)} mrad`;
  const hz = hold.dominantHz.toFixed(1);
  const rows: [string, string][] = [
    [w.hold, `${hold.durationS.toFixed(1)} s`],
    [w.radius, w.atDistance(`${(hold.rmsMrad * distanceM).toFixed(1)} mm`, distance, spot)],
    [w.wander, w.wanderOf(String(Math.round(100 * hold.sidewaysShare)))],
    [w.drift, w.driftOf(mrad(hold.driftMradS.right), mrad(hold.driftMradS.up))],
    [
      w.quick,
      hold.dominantHz <= SLOW_HZ
        ? w.slow
        : hold.dominantHz >= MUCH_HZ
          ? w.tremble(hz)
          : w.hertz(hz),
    ],
    [w.comes, w.comesFrom(approach.fromDeg)],
    ...(followThrough
      ? ([[w.leaves, w.leavesTo(followThrough.leavesDeg)]] as [string, string][])
      : []),
  ];
  return (
    <>
      <Text variant="big" as="p" data-part="aim-rms">
        {hold.rmsMrad.toFixed(2)} mrad
      </Text>
      <dl className={css.figures}>
        {rows.map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </>
  );
}

const samplesOf = (jobId: string, shot: number): Promise<Samples | null> =>
  askShop(`/api/v1/jobs/${jobId}/aims/${shot}`)
    .then(async (answer) =>
      answer.ok ? ((await answer.json()) as { samples: Samples }).samples : null,
    )
    .catch(() => null);

/** Moves a point along the whole trace at true speed, or slower. */
function usePlayer(jobId: string, shot: number) {
  const [at, setAt] = useState<readonly [number, number] | null>(null);
  const frame = useRef(0);
  useEffect(() => () => cancelAnimationFrame(frame.current), []);
  const stop = () => {
    cancelAnimationFrame(frame.current);
    setAt(null);
  };
  const play = async (slower: number) => {
    if (at) return stop();
    const samples = await samplesOf(jobId, shot);
    if (!samples || samples.t.length === 0) return;
    const began = performance.now();
    let i = 0;
    const step = () => {
      const now = samples.t[0]! + (performance.now() - began) / 1000 / slower;
      while (i < samples.t.length - 1 && samples.t[i]! < now) i++;
      if (i >= samples.t.length - 1) return stop();
      setAt([samples.r[i]! * 1000, samples.u[i]! * 1000]);
      frame.current = requestAnimationFrame(step);
    };
    frame.current = requestAnimationFrame(step);
  };
  return { at, play };
}
