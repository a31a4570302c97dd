'use client';
import { useEffect, useRef, useState } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { BOW_COLUMNS } from '@/contracts/bow-csv';
import type { RowChange } from '@/contracts/csv';
import { Text } from '../pieces/Text';
import { TextField } from '../fields/TextField';
import { Panel } from '../frame/Panel';
import { useKept } from '../keep/useKept';
import { post } from '../keep/post';
import { bowStock as w, frame } from '../words';
import { Actions, Verdict } from '../pieces/layout';
import { Note } from '../pieces/texts';
import { ChangeList, NO_TICKS, ticksBody } from './ChangeList';
import { Faults } from './Faults';
import { useTextFile } from './useTextFile';
import css from './ImportBows.module.css';

interface Fault {
  readonly line: number;
  readonly column: string;
  readonly message: string;
}
interface Answer {
  readonly saved: boolean;
  readonly added: number;
  readonly changed: number;
  readonly same: number;
  readonly rows: readonly RowChange[];
  readonly faults: readonly Fault[];
}

/** A file is looked at first; then the good rows are kept, or the whole of it is refused. */
export function ImportBows({ onClose, onDone }: { onClose: () => void; onDone: () => void }) {
  const { value: text, set: setText, settled, found } = useKept('import.bows', () => '');
  const [looked, setLooked] = useState<Answer | null>(null);
  const [trouble, setTrouble] = useState('');
  const [ticks, setTicks] = useState(NO_TICKS);
  const send = (mode: 'check' | 'keepGood' | 'allOrNone', body = text) =>
    post<Answer>('/api/v1/shop/bows/file', { text: body, mode, ...ticksBody(ticks) });
  const look = async (next: string) => {
    setText(next);
    setLooked(null);
    setTicks(NO_TICKS);
    setTrouble('');
    if (next.trim() === '') return;
    const answer = await send('check', next);
    if (answer.ok) setLooked(answer.body);
    else setTrouble(answer.message);
  };
  const take = async (mode: 'keepGood' | 'allOrNone') => {
    const answer = await send(mode);
    if (!answer.ok) return setTrouble(answer.message);
    settled();
    onDone();
  };
  const lookAgain = useRef(look);
  useEffect(() => {
    lookAgain.current = look;
  });
  useEffect(() => {
    // Pasted before and not taken: looked at again as it stands.
    if (found) void lookAgain.current(text);
  }, [found]);
  const file = useTextFile((next) => void look(next));
  const jumps = looked?.rows.filter(({ jump }) => jump) ?? [];
  const rows = looked?.rows.filter(({ jump }) => !jump) ?? [];
  const good = looked ? looked.added + looked.changed + looked.same : 0;
  // What is unticked stays as it is.
  const taken = good - ticks.except.size - (jumps.length - ticks.jumps.size);
  return (
    <Panel wide typing title={w.fromFile} onClose={onClose}>
      <Stack spacing={2}>
        <p>{w.fileHow}</p>
        <Text variant="small" soft as="p" className={css.columnsList}>
          {BOW_COLUMNS.map(({ header }) => header).join(', ')}
        </Text>
        <Actions>
          <Button variant="outlined" component="label">
            {w.chooseFile}
            <input
              id="bow-file"
              type="file"
              accept=".csv,.txt,.tsv,text/csv,text/plain"
              aria-label={w.chooseFile}
              hidden
              onChange={(event) => {
                const chosen = event.target.files?.[0];
                if (chosen) file.choose(chosen);
                event.target.value = '';
              }}
            />
          </Button>
        </Actions>
        {file.asking}
        <TextField
          id="bow-file-text"
          label={w.paste}
          value={text}
          multiline
          minRows={4}
          maxRows={8}
          onChange={(event) => void look(event.target.value)}
        />
        {looked && (
          <Verdict role="status">
            <b>{w.looked(looked.added, looked.changed, looked.same, looked.faults.length)}</b>
          </Verdict>
        )}
        {looked && looked.faults.length > 0 && (
          <Faults faults={looked.faults} count={looked.faults.length} />
        )}
        <ChangeList
          jumps={jumps}
          jumpCount={jumps.length}
          rows={rows}
          rowCount={rows.length}
          ticks={ticks}
          onTicks={setTicks}
          onMore={() => undefined}
        />
        {trouble && (
          <Note kind="stop" role="alert">
            {trouble}
          </Note>
        )}
        <Actions>
          {looked && looked.faults.length === 0 && (
            <Button variant="contained" onClick={() => void take('allOrNone')}>
              {w.takeAll(taken)}
            </Button>
          )}
          {looked && looked.faults.length > 0 && (
            <>
              {good > 0 && (
                <Button variant="contained" onClick={() => void take('keepGood')}>
                  {w.keepGood(taken)}
                </Button>
              )}
              <Button variant="outlined" onClick={onClose}>
                {w.refuseAll}
              </Button>
            </>
          )}
          {(!looked || looked.faults.length === 0) && (
            <Button variant="text" onClick={onClose}>
              {frame.cancel}
            </Button>
          )}
        </Actions>
      </Stack>
    </Panel>
  );
}
