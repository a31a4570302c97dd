'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { laneEntry } from '@/core/job';
import { latest } from '@/core/setup';
import { read, write } from '@/core/units';
import { Text } from '../../pieces/Text';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { marksWords as m } from '../../words';
import { SmallNumber } from '../../fields/SmallNumber';
import { Actions, BlockTitle } from '../../pieces/layout';
import { FieldError } from '../../pieces/texts';
import entryCss from './entry.module.css';

/** "The scale says 47 at a true 50": a mark from a tape that is already on the sight. */
export function ScaleReads() {
  const { snapshot, derived, send } = useJob();
  const units = snapshot.shop.units;
  const speed = latest(derived.history, 'arrowSpeed')?.si ?? null;
  const { value: text, set: setText } = useKept(`${snapshot.job.id}.scale`, () => ({
    distance: '',
    scale: '',
    speed: speed === null ? '' : write(speed, 'speed', units, { decimals: 1 }),
  }));
  const [trouble, setTrouble] = useState('');
  const far = read(text.distance, laneEntry('trueDistance', units));
  const scale = read(text.scale, laneEntry('scaleReading', units));
  const tape = read(text.speed, laneEntry('tapeSpeed', units));
  const put = (field: keyof typeof text) => (value: string) => {
    setText({ ...text, [field]: value });
    setTrouble('');
  };
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        const wrong = [far, scale, tape].find((entry) => !entry.ok);
        if (wrong && !wrong.ok) return setTrouble(wrong.message);
        void send({
          name: 'takeMark',
          distance: text.distance,
          scale: text.scale,
          tapeSpeed: text.speed,
        }).then((answer) => {
          setTrouble(answer?.message ?? '');
          if (!answer) setText({ ...text, distance: '', scale: '' });
        });
      }}
    >
      <BlockTitle>{m.scaleTitle}</BlockTitle>
      <Text soft>{m.scaleHint}</Text>
      <div className={entryCss.tearFields}>
        <SmallNumber
          label={m.trueDistance}
          text={text.distance}
          onText={put('distance')}
          result={far}
          placeholder={`60 ${units.distance}`}
        />
        <SmallNumber
          label={m.scaleReads}
          text={text.scale}
          onText={put('scale')}
          result={scale}
          placeholder={`58 ${units.distance}`}
        />
        <SmallNumber label={m.tapeSpeed} text={text.speed} onText={put('speed')} result={tape} />
      </div>
      <Actions>
        <Button type="submit" variant="outlined">
          {m.takeScale}
        </Button>
      </Actions>
      <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
    </form>
  );
}
