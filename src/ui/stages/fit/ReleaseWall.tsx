'use client';
import { wallOfStops, wantedWall, type BowRecord } from '@/core/bow';
import { bowName } from '@/core/bow';
import type { Archer } from '@/core/job';
import { Choice } from '../../fields/Choice';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { fit as w, meet } from '../../words';
import { FitHead } from './FitHead';

/** What they let go with decides how hard a wall they want; which bows have it. */
export function ReleaseWall({ bows }: { bows: readonly BowRecord[] }) {
  const { snapshot, send } = useJob();
  const { archer } = snapshot;
  const set = (answers: Partial<Archer>) =>
    void send({ name: 'setAnswers', archer: answers as never });
  const wall = wantedWall(archer.wall, archer.release);
  const own = bows.filter((bow) => bow.hand === archer.hand);
  return (
    <>
      <main className="work">
        <FitHead part="release" />
        <div className="stack">
          <Choice
            wide
            label={meet.release}
            value={archer.release}
            options={meet.releases}
            onChange={(release) => set({ release })}
          />
          <Choice
            wide
            label={meet.wall}
            value={archer.wall}
            options={meet.walls}
            onChange={(next) => set({ wall: next })}
          />
        </div>
        <section className="block">
          <h3 className="block-title">{w.wallWanted(wall)}</h3>
          <ul className="rows wall-rows">
            {own.map((bow) => {
              const has = wallOfStops(bow.stops);
              return (
                <li key={bow.id} data-match={wall !== null && has === wall ? 'yes' : 'no'}>
                  <span>{bowName(bow)}</span>
                  <span className="soft">{bow.stops ? w.stops[bow.stops] : w.stopsUnknown}</span>
                  <span
                    className="tag"
                    data-kind={
                      wall === null || has === null ? 'plain' : has === wall ? 'in' : 'warn'
                    }
                  >
                    {has === null ? w.wallUnknown : w.walls[has]}
                  </span>
                </li>
              );
            })}
          </ul>
        </section>
      </main>
      <Margin
        because={[w.because.wallThumb, w.because.wallBack, w.because.wallOwn]}
        watch={[{ id: 'release', text: w.watch.release, stop: true }]}
      />
    </>
  );
}
