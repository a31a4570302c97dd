'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { readChronographLine } from '@/contracts/chronograph';
import { chronograph } from '@/core/bow';
import { archerCautions, jobSpeed, laneEntry, readOptionsFor } from '@/core/job';
import { latest, setupValue, type SpeedShot } from '@/core/setup';
import { read, write } from '@/core/units';
import { Text } from '../../pieces/Text';
import { MeasureField } from '../../fields/MeasureField';
import { useDevice } from '../../fields/useDevice';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { Margin } from '../../job/Margin';
import { Dock } from '../../job/Dock';
import { LastValue } from '../../job/LastValue';
import { useStage } from '../../job/useStage';
import { devices as d, lane as w, speedWords as s } from '../../words';
import { SmallNumber } from '../../fields/SmallNumber';
import { Work } from '../../job/Work';
import { Actions, Split } from '../../pieces/layout';
import { FieldError, Note } from '../../pieces/texts';
import { LaneParts } from './LaneParts';
import { SpeedFacts } from './SpeedFacts';
import { SpeedShots } from './SpeedShots';
import { StepNotes } from './StepNotes';
import css from './Speed.module.css';

/** Chronograph shots one by one, what they say of this bow, and what the arrow carries. */
export function Speed() {
  const { snapshot, derived } = useJob();
  const { href } = useStage();
  const units = snapshot.shop.units;
  const step = derived.plan.steps.find(({ id }) => id === 'speed')!;
  const predicted = derived.context.predictedSpeed;
  const { own } = jobSpeed(derived);
  return (
    <>
      <Work>
        <LaneParts current="speed" />
        <StepNotes step={step} say />
        <SpeedEntry />
        <SpeedFacts />
        <Actions>
          <Button
            variant="outlined"
            component={Link}
            href={href('lane', { part: 'first' })}
            scroll={false}
          >
            {w.first}
          </Button>
        </Actions>
      </Work>
      <Margin
        because={[
          ...(predicted
            ? [
                w.because.speed(
                  write(predicted.speedMps, 'speed', units),
                  write(predicted.sigmaMps, 'speed', units),
                ),
              ]
            : []),
          s.because.mean,
          ...(own ? [s.because.sigma(write(own.sigmaMps, 'speed', units, { decimals: 1 }))] : []),
          s.because.model,
        ]}
        watch={[
          { id: 'target', text: w.watch.target, stop: true },
          ...(step.template.watch ?? []).map((entry, i) => ({ id: `s${i}`, text: entry })),
          ...archerCautions(snapshot).filter(({ id }) => id === 'minor' || id === 'injury'),
        ]}
      />
    </>
  );
}

/** Shots of the present series: those of the newest reading, unless something changed since. */
function useSeries(other: boolean) {
  const { derived } = useJob();
  const key = other ? 'speedOther' : 'arrowSpeed';
  const reading = latest(derived.history, key);
  const stale = derived.plan.stale.some((entry) => entry.key === key);
  const shots: readonly SpeedShot[] =
    reading?.data?.kind === 'speeds'
      ? reading.data.shots
      : reading && reading.si !== null
        ? [{ mps: reading.si, device: null, discarded: null }]
        : [];
  return { reading, stale, shots };
}

function SpeedEntry() {
  const { snapshot, send } = useJob();
  const units = snapshot.shop.units;
  const [other, setOther] = useState(false);
  const { value: mass, set: setMass } = useKept(`${snapshot.job.id}.otherMass`, () => '');
  const [fresh, setFresh] = useState<number | null>(null);
  const { reading, stale, shots: kept } = useSeries(other);
  // A new series begins where something changed, or where somebody says so.
  const begun = stale || (reading !== null && fresh === reading.seq) || (other && reading === null);
  const shots = begun ? [] : kept;
  const options = readOptionsFor('arrowSpeed', units, snapshot.bow)!;
  const massRead = read(mass, laneEntry('otherArrow', units));
  const wire = (shot: SpeedShot) => ({
    entered: `${shot.mps} m/s`,
    device: shot.device,
    discarded: shot.discarded,
  });
  const keep = (next: ReturnType<typeof wire>[]) => {
    if (other && !massRead.ok) return Promise.resolve({ message: massRead.message, pointer: '' });
    return send({
      name: 'takeSpeeds',
      shots: next,
      ...(other ? { arrow: mass } : {}),
    });
  };
  const device = useDevice(snapshot.job.id, 'chronograph', (line) => {
    const heard = readChronographLine(line);
    if (heard.kind === 'junk') return 'junk';
    return heard.kind === 'shot' ? { reading: heard.speedMps as number } : 'nothing';
  });
  const [trouble, setTrouble] = useState('');
  const listen = () =>
    device.start({ again: shots.length }, (got, name, state) => {
      const more = got.map((mps) => ({ entered: `${mps} m/s`, device: name, discarded: null }));
      void keep([...shots.map(wire), ...more]).then((answer) => {
        setTrouble(answer?.message ?? '');
        // Why it ended early stays to be read.
        if (!answer && state === 'done') device.clear();
      });
    });
  const result = chronograph(shots.filter((shot) => shot.discarded === null).map((x) => x.mps));
  return (
    <Split className={css.speedSplit}>
      <Stack spacing={2}>
        <Dock>
          {other && (
            <>
              <SmallNumber label={s.otherMass} text={mass} onText={setMass} result={massRead} />
              <Text variant="small" soft as="p">
                {s.otherHint}
              </Text>
            </>
          )}
          <MeasureField
            label={other ? s.otherArrow : setupValue('arrowSpeed').name}
            draft={`${snapshot.job.id}.${other ? 'speedOther' : 'arrowSpeed'}`}
            options={options}
            last={<LastValue of={other ? 'speedOther' : 'arrowSpeed'} />}
            onTake={(entered) =>
              keep([...shots.map(wire), { entered, device: null, discarded: null }])
            }
          />
        </Dock>
        <Actions>
          {device.state === 'live' ? (
            <Button variant="outlined" onClick={device.clear}>
              {d.stop}
            </Button>
          ) : (
            <Button variant="outlined" onClick={listen}>
              {d.connect}
            </Button>
          )}
          <Button variant="text" onClick={() => setOther(!other)}>
            {other ? s.ownArrow : s.otherArrow}
          </Button>
        </Actions>
        {device.state !== 'idle' && (
          <Text soft role="status">
            {d.live(device.device, device.got.length, device.leftOut)}
          </Text>
        )}
        {device.message && <Note role="alert">{device.message}</Note>}
        <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
      </Stack>
      <SpeedShots
        shots={shots}
        coming={device.state === 'live' ? device.got : []}
        result={result}
        stale={stale}
        onFresh={reading && shots.length > 0 ? () => setFresh(reading.seq) : null}
        onChange={(next) => keep(next.map(wire))}
      />
    </Split>
  );
}
