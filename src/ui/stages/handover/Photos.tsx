'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import { photoAboutText, type Photo } from '@/core/job';
import { whenText } from '../../fields/dates';
import { TextField } from '../../fields/TextField';
import { useJob } from '../../job/JobProvider';
import { TakePhoto } from '../../job/PhotoStrip';
import { Actions, Block, Rows } from '../../pieces/layout';
import { Picture } from '../../pieces/Picture';
import { Note } from '../../pieces/texts';
import { Text } from '../../pieces/Text';
import { photoWords as w } from '../../words';
import css from './Photos.module.css';

/** Every photograph of the job: what it shows, and whether it goes on the record page. */
export function Photos() {
  const { snapshot } = useJob();
  return (
    <Block>
      <h3>{w.title}</h3>
      {snapshot.photos.length === 0 ? (
        <Text soft>{w.none}</Text>
      ) : (
        <Rows className={css.photos} data-part="photos">
          {snapshot.photos.map((photo) => (
            <OnePhoto key={photo.id} photo={photo} />
          ))}
        </Rows>
      )}
      <Actions>
        <TakePhoto about="bow" />
      </Actions>
    </Block>
  );
}

function OnePhoto({ photo }: { photo: Photo }) {
  const { snapshot, send } = useJob();
  const { id, about, words, onRecord, at, who, width, height } = photo;
  const [text, setText] = useState(words);
  const [trouble, setTrouble] = useState('');
  const say = async (change: { words?: string; onRecord?: boolean }) => {
    const refused = await send({
      name: 'describePhoto',
      photo: id,
      words: text,
      onRecord,
      ...change,
    });
    setTrouble(refused?.message ?? '');
  };
  const src = `/api/v1/jobs/${snapshot.job.id}/photos/${id}`;
  const name = photoAboutText(about) ?? about;
  return (
    <li>
      <a href={src} target="_blank">
        <Picture src={`${src}?size=small`} width={width} height={height} alt={words || name} />
      </a>
      <div className={css.said}>
        <b>{name}</b>
        <Text variant="small" soft>
          {whenText(at, snapshot.shop.timeZone, snapshot.today)}, {who}
        </Text>
        <TextField
          id={`photo-words-${id}`}
          label={w.words}
          value={text}
          autoComplete="off"
          slotProps={{ htmlInput: { maxLength: 200 } }}
          onChange={(event) => setText(event.target.value)}
          onBlur={() => {
            if (text.trim() !== words) void say({ words: text });
          }}
        />
        <label className={css.choice}>
          <Checkbox
            id={`photo-record-${id}`}
            checked={onRecord}
            onChange={() => void say({ onRecord: !onRecord })}
          />
          <span>{w.onRecord}</span>
        </label>
        <Button variant="text" onClick={() => void send({ name: 'removePhoto', photo: id })}>
          {w.remove}
        </Button>
        {trouble && (
          <Note kind="stop" role="alert">
            {trouble}
          </Note>
        )}
      </div>
    </li>
  );
}
