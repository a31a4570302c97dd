'use client';
import { useState } from 'react';
import type { BowRecord } from '@/core/bow';
import { archerCautions } from '@/core/job';
import { AIM_TOPICS, aimTopic, countedShots, type AimTopicId } from '@/core/hold';
import { TextField } from '../../fields/TextField';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { Work } from '../../job/Work';
import { useKept } from '../../keep/useKept';
import { Text } from '../../pieces/Text';
import { aimWords as w, steady } from '../../words';
import { AimCompare } from './AimCompare';
import { AimRecord } from './AimRecord';
import { AimSet } from './AimSet';
import { OneAim } from './OneAim';
import { SteadyParts } from './SteadyParts';
import { useAims } from './useAims';
import css from './AimPart.module.css';

/** The aim measured: shot by shot, what repeats, two ways held against each other. */
export function AimPart({ bow }: { bow: BowRecord }) {
  const { snapshot } = useJob();
  const all = useAims();
  const { value: topicId, set: setTopic } = useKept<AimTopicId>(
    `${snapshot.job.id}.aimTopic`,
    () => 'shots',
  );
  const [picked, setPicked] = useState<number | null>(null);
  const topic = aimTopic(topicId)!;
  const shots = (all ?? []).filter((shot) => shot.topic === topicId);
  const counted = countedShots(shots, topicId);
  const one = shots.find(({ id }) => id === picked) ?? shots.at(-1) ?? null;
  return (
    <>
      <Work>
        <SteadyParts current="aim" bow={bow} />
        <TextField
          id="aim-topic"
          select
          label={w.topic}
          value={topicId}
          onChange={({ target }) => setTopic(target.value as AimTopicId)}
        >
          {AIM_TOPICS.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </TextField>
        <div className={css.bench}>
          <AimRecord
            topic={topic}
            shots={shots}
            counted={counted.length}
            onKept={() => setPicked(null)}
          />
          {one ? <OneAim key={one.id} shot={one} /> : all && <Text soft>{w.none}</Text>}
        </div>
        {shots.length > 0 && (
          <AimSet shots={shots} counted={counted} picked={one?.id ?? null} onPick={setPicked} />
        )}
        {topic.ways.length > 1 && <AimCompare topic={topic} counted={counted} />}
      </Work>
      <Margin
        because={[w.because.hold, w.because.test, w.because.score]}
        watch={[
          { id: 'target', text: steady.watch.target, stop: true },
          { id: 'noise', text: steady.watch.noise },
          ...archerCautions(snapshot).filter(({ id }) => id === 'injury' || id === 'minor'),
        ]}
      />
    </>
  );
}
