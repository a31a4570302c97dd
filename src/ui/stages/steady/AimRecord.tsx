'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { readAimFile } from '@/contracts/aim-file';
import { nextWay, type AimShot, type aimTopic } from '@/core/hold';
import { AimPath } from '../../drawings/AimPath';
import { useJob } from '../../job/JobProvider';
import { Actions } from '../../pieces/layout';
import { Text } from '../../pieces/Text';
import { FieldError, Note } from '../../pieces/texts';
import { aimWords as w } from '../../words';
import { useSensor } from './useSensor';
import css from './AimRecord.module.css';

/** The live trace, and what becomes of it. */
export function AimRecord({
  topic,
  shots,
  counted,
  onKept,
}: {
  topic: NonNullable<ReturnType<typeof aimTopic>>;
  shots: readonly AimShot[];
  counted: number;
  onKept: () => void;
}) {
  const { send } = useJob();
  const sensor = useSensor();
  const [trouble, setTrouble] = useState('');
  const way = nextWay(topic, counted);
  const wayName = topic.ways.find(([id]) => id === way)![1];
  const keep = async (
    samples: { t: number[]; r: number[]; u: number[] },
    releaseS: number | null,
    device: string | null,
  ) => {
    const answer = await send({ name: 'keepAim', topic: topic.id, way, device, releaseS, samples });
    setTrouble(answer?.message ?? '');
    if (answer) return;
    sensor.clear();
    onKept();
  };
  const keepTrace = () => {
    const { t, r, u, releaseS, device } = sensor.trace.current;
    return keep({ t: [...t], r: [...r], u: [...u] }, releaseS, device);
  };
  const take = async (file: File | undefined) => {
    if (!file) return;
    const read = readAimFile(await file.text());
    if (!read.ok) return setTrouble(read.message);
    const { t, r, u } = read.samples;
    await keep({ t: [...t], r: [...r], u: [...u] }, null, null);
  };
  const isOver = sensor.state === 'done' || sensor.state === 'lost';
  return (
    <div className={css.record} data-part="aim-record" data-state={sensor.state}>
      {topic.ways.length > 1 && (
        <p>
          <b className={css.next}>{w.next(wayName)}</b>{' '}
          <Text soft as="span">
            {w.nextOf(counted + 1)}
          </Text>
        </p>
      )}
      <AimPath path={sensor.path} hold={null} reachMrad={40} />
      {sensor.state === 'live' && (
        <Text variant="small" soft>
          {w.live(sensor.trace.current.t.length)}
        </Text>
      )}
      {sensor.state === 'lost' && <Note role="alert">{w.lost(sensor.message)}</Note>}
      {isOver && sensor.trace.current.bad > 0 && (
        <Text variant="small" soft>
          {w.bad(sensor.trace.current.bad)}
        </Text>
      )}
      <Actions>
        {isOver ? (
          <>
            <Button variant="contained" data-part="keep-aim" onClick={() => void keepTrace()}>
              {w.keep}
            </Button>
            <Button variant="text" onClick={sensor.clear}>
              {w.drop}
            </Button>
          </>
        ) : sensor.state === 'live' ? (
          <Button variant="outlined" onClick={sensor.stop}>
            {w.stop}
          </Button>
        ) : (
          <Button
            variant="contained"
            data-part="listen"
            onClick={() =>
              sensor.start({
                topic: topic.id,
                way,
                shot: String(counted),
                again: String(shots.length),
              })
            }
          >
            {shots.length > 0 ? w.again : w.record}
          </Button>
        )}
      </Actions>
      <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
      {topic.ways.length > 1 && (
        <Text variant="small" soft>
          {w.plan}
        </Text>
      )}
      <Button variant="outlined" component="label">
        {w.file}
        <input
          type="file"
          accept=".csv,text/csv"
          hidden
          onChange={({ target }) => {
            void take(target.files?.[0]);
            target.value = '';
          }}
        />
      </Button>
      <Text variant="small" soft>
        {w.fileHow}
      </Text>
    </div>
  );
}
