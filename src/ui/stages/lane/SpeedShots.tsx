'use client';
import Button from '@mui/material/Button';
import type { ChronographResult } from '@/core/bow';
import type { SpeedShot } from '@/core/setup';
import { write } from '@/core/units';
import { useJob } from '../../job/JobProvider';
import type { Trouble } from '../../keep/post';
import { devices as d, speedWords as s } from '../../words';
import { LeaveOut } from '../../job/Discard';

/** The shots of one speed: what came from where, what was left out and why, one that is odd. */
export function SpeedShots({
  shots,
  coming,
  result,
  stale,
  onFresh,
  onChange,
}: {
  shots: readonly SpeedShot[];
  /** Readings of a device that is still sending, m/s. */
  coming: readonly number[];
  result: ChronographResult | null;
  stale: boolean;
  onFresh: (() => void) | null;
  onChange: (shots: readonly SpeedShot[]) => Promise<Trouble | null>;
}) {
  const units = useJob().snapshot.shop.units;
  const say = (mps: number) => write(mps, 'speed', units, { decimals: 1 });
  const counted = shots.filter(({ discarded }) => discarded === null);
  const odd = result?.outlier === null || !result ? null : counted[result.outlier]!;
  const put = (index: number, discarded: string | null) =>
    onChange(shots.map((shot, i) => (i === index ? { ...shot, discarded } : shot)));
  return (
    <section className="speed-shots">
      <h3 className="block-title">{s.shots}</h3>
      {stale && <p className="note">{s.again}</p>}
      {result && (
        <p className="speed-mean">
          <b className="figure big">{say(result.speedMps)}</b>{' '}
          <span className="soft">
            {s.mean(counted.length)}
            {result.scatterMps !== null && `, ${s.scatter(say(result.scatterMps))}`}
          </span>
        </p>
      )}
      {counted.length === 1 && <p className="soft">{s.oneMore}</p>}
      {odd && (
        <p className="note" role="alert">
          {s.ask(say(odd.mps))}
        </p>
      )}
      {shots.length === 0 && coming.length === 0 && !stale && <p className="soft">{s.none}</p>}
      <ul className="rows shot-rows">
        {shots.map((shot, i) => (
          <li key={i} data-out={shot.discarded === null ? 'no' : 'yes'}>
            <span className="figure">{say(shot.mps)}</span>
            <span className="small soft">
              {shot.discarded !== null
                ? d.leftOut(shot.discarded)
                : shot.device
                  ? d.fromDevice
                  : d.typed}
            </span>
            {shot.discarded !== null ? (
              <Button variant="text" size="small" onClick={() => void put(i, null)}>
                {d.keepIt}
              </Button>
            ) : (
              counted.length > 1 && (
                <LeaveOut onReason={async (reason) => (await put(i, reason))?.message ?? null} />
              )
            )}
          </li>
        ))}
        {coming.map((mps, i) => (
          <li key={`c${i}`} className="soft">
            <span className="figure">{say(mps)}</span>
            <span className="small soft">{d.fromDevice}</span>
          </li>
        ))}
      </ul>
      {onFresh && (
        <Button variant="text" size="small" onClick={onFresh}>
          {s.fresh}
        </Button>
      )}
    </section>
  );
}
