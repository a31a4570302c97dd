'use client';
import Button from '@mui/material/Button';
import type { ChronographResult } from '@/core/bow';
import type { SpeedShot } from '@/core/setup';
import { write } from '@/core/units';
import { Text } from '../../pieces/Text';
import { useJob } from '../../job/JobProvider';
import type { Trouble } from '../../keep/post';
import { devices as d, speedWords as s } from '../../words';
import { LeaveOut } from '../../job/Discard';
import { BlockTitle, Rows } from '../../pieces/layout';
import { Note } from '../../pieces/texts';
import css from './SpeedShots.module.css';

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
    <section data-part="speed-shots">
      <BlockTitle>{s.shots}</BlockTitle>
      {stale && <Note>{s.again}</Note>}
      {result && (
        <div>
          <Text variant="huge" as="b">
            {say(result.speedMps)}
          </Text>
          <Text soft>
            {s.mean(counted.length)}
            {result.scatterMps !== null && `, ${s.scatter(say(result.scatterMps))}`}
          </Text>
        </div>
      )}
      {counted.length === 1 && <Text soft>{s.oneMore}</Text>}
      {odd && <Note role="alert">{s.ask(say(odd.mps))}</Note>}
      {shots.length === 0 && coming.length === 0 && !stale && <Text soft>{s.none}</Text>}
      <Rows className={css.shotRows} data-part="shot-rows">
        {shots.map((shot, i) => (
          <li key={i} data-out={shot.discarded === null ? 'no' : 'yes'}>
            <Text variant="figure">{say(shot.mps)}</Text>
            <Text variant="small" soft>
              {shot.discarded !== null
                ? d.leftOut(shot.discarded)
                : shot.device
                  ? d.fromDevice
                  : d.typed}
            </Text>
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
          <Text key={`c${i}`} soft as="li">
            <Text variant="figure">{say(mps)}</Text>
            <Text variant="small" soft>
              {d.fromDevice}
            </Text>
          </Text>
        ))}
      </Rows>
      {onFresh && (
        <Button variant="text" size="small" onClick={onFresh}>
          {s.fresh}
        </Button>
      )}
    </section>
  );
}
