'use client';
import Stack from '@mui/material/Stack';
import { wallOfStops, wantedWall, type BowRecord } from '@/core/bow';
import { bowName } from '@/core/bow';
import type { Archer } from '@/core/job';
import { Text } from '../../pieces/Text';
import { Choice } from '../../fields/Choice';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { fit as w, meet } from '../../words';
import { Work } from '../../job/Work';
import { Block, BlockTitle, Rows } from '../../pieces/layout';
import { Tag } from '../../pieces/texts';
import { FitHead } from './FitHead';
import css from './ReleaseWall.module.css';

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
      <Work>
        <FitHead part="release" />
        <Stack spacing={2}>
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
        </Stack>
        <Block>
          <BlockTitle>{w.wallWanted(wall)}</BlockTitle>
          <Rows className={css.wallRows}>
            {own.map((bow) => {
              const has = wallOfStops(bow.stops);
              return (
                <li key={bow.id} data-match={wall !== null && has === wall ? 'yes' : 'no'}>
                  <span>{bowName(bow)}</span>
                  <Text soft as="span">
                    {bow.stops ? w.stops[bow.stops] : w.stopsUnknown}
                  </Text>
                  <Tag
                    kind={wall === null || has === null ? 'plain' : has === wall ? 'in' : 'warn'}
                  >
                    {has === null ? w.wallUnknown : w.walls[has]}
                  </Tag>
                </li>
              );
            })}
          </Rows>
        </Block>
      </Work>
      <Margin
        because={[w.because.wallThumb, w.because.wallBack, w.because.wallOwn]}
        watch={[{ id: 'release', text: w.watch.release, stop: true }]}
      />
    </>
  );
}
