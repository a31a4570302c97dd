'use client';
import { useEffect, useState } from 'react';
import Button from '@mui/material/Button';
import { TextField } from '../fields/TextField';
import { post } from '../keep/post';
import { BackupRows, type Backup } from '../pieces/BackupRows';
import { Text } from '../pieces/Text';
import { openWords as w } from '../words';
import css from './door.module.css';

interface Opening {
  readonly path: string;
  readonly folder: string | null;
  readonly backups: readonly Backup[];
}

/** In the place of a shop that is not there yet: a new one, or one that was kept. */
export function OpenPage({ opening: { path, folder, backups } }: { opening: Opening }) {
  const [file, setFile] = useState('');
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<{ pointer: string; message: string } | null>(null);
  useEffect(() => {
    document.documentElement.dataset.ready = 'yes';
  }, []);
  const send = async (wish: object) => {
    setBusy(true);
    const answer = await post('/api/v1/opening', wish);
    if (answer.ok) return window.location.assign('/');
    setBusy(false);
    setFault(answer);
  };
  return (
    <main className={css.door} data-part="opening">
      <p className={css.shop}>{w.brand}</p>
      <h1>{w.title}</h1>
      <p>{w.says(path)}</p>
      <div>
        <Button
          variant="contained"
          size="large"
          disabled={busy}
          onClick={() => void send({ how: 'new' })}
        >
          {busy ? w.working : w.fresh}
        </Button>
      </div>
      {fault && fault.pointer !== '/path' && (
        <Text role="alert" wrong>
          {fault.message}
        </Text>
      )}
      <p className={css.or}>{w.restore}</p>
      <BackupRows
        backups={backups}
        whenOf={({ at }) => w.madeAt(at)}
        put={({ at }) => ({ says: w.put, label: `${w.put} ${w.madeAt(at)}` })}
        busy={busy}
        none={w.noBackups(folder)}
        onPut={({ name }) => void send({ how: 'backup', name })}
      />
      <form
        className={css.file}
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          if (file.trim() === '') return setFault({ pointer: '/path', message: w.fileMissing });
          void send({ how: 'file', path: file.trim() });
        }}
      >
        <TextField
          id="open-file"
          label={w.file}
          value={file}
          autoComplete="off"
          error={fault?.pointer === '/path'}
          helperText={fault?.pointer === '/path' ? fault.message : w.fileHint}
          slotProps={{ htmlInput: { maxLength: 1000, spellCheck: false } }}
          onChange={(event) => {
            setFault(null);
            setFile(event.target.value);
          }}
        />
        <Button type="submit" variant="outlined" disabled={busy}>
          {w.put}
        </Button>
      </form>
    </main>
  );
}
