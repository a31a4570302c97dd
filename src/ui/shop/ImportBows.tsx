'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { BOW_COLUMNS } from '@/contracts/bow-csv';
import { Panel } from '../frame/Panel';
import { post } from '../job/post';
import { bowStock as w, frame } from '../words';
import { Faults } from './Faults';

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
  readonly faults: readonly Fault[];
}

/** A file is looked at first; then the good rows are kept, or the whole of it is refused. */
export function ImportBows({ onClose, onDone }: { onClose: () => void; onDone: () => void }) {
  const [text, setText] = useState('');
  const [looked, setLooked] = useState<Answer | null>(null);
  const [trouble, setTrouble] = useState('');
  const send = (mode: 'check' | 'keepGood' | 'allOrNone', body = text) =>
    post<Answer>('/api/v1/shop/bows/file', { text: body, mode });
  const look = async (next: string) => {
    setText(next);
    setLooked(null);
    setTrouble('');
    if (next.trim() === '') return;
    const answer = await send('check', next);
    if (answer.ok) setLooked(answer.body);
    else setTrouble(answer.message);
  };
  const take = async (mode: 'keepGood' | 'allOrNone') => {
    const answer = await send(mode);
    if (answer.ok) onDone();
    else setTrouble(answer.message);
  };
  const good = looked ? looked.added + looked.changed + looked.same : 0;
  return (
    <Panel wide typing title={w.fromFile} onClose={onClose}>
      <div className="stack">
        <p>{w.fileHow}</p>
        <p className="small soft columns-list">
          {BOW_COLUMNS.map(({ header }) => header).join(', ')}
        </p>
        <div className="actions">
          <Button variant="outlined" component="label">
            {w.chooseFile}
            <input
              id="bow-file"
              type="file"
              accept=".csv,.txt,.tsv,text/csv,text/plain"
              aria-label={w.chooseFile}
              hidden
              onChange={(event) => {
                void event.target.files?.[0]?.text().then(look);
                event.target.value = '';
              }}
            />
          </Button>
        </div>
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
          <p className="verdict" role="status">
            <b>{w.looked(looked.added, looked.changed, looked.same, looked.faults.length)}</b>
          </p>
        )}
        {looked && looked.faults.length > 0 && (
          <Faults faults={looked.faults} count={looked.faults.length} />
        )}
        {trouble && (
          <p className="note" data-kind="stop" role="alert">
            {trouble}
          </p>
        )}
        <div className="actions">
          {looked && looked.faults.length === 0 && (
            <Button variant="contained" onClick={() => void take('allOrNone')}>
              {w.takeAll(good)}
            </Button>
          )}
          {looked && looked.faults.length > 0 && (
            <>
              {good > 0 && (
                <Button variant="contained" onClick={() => void take('keepGood')}>
                  {w.keepGood(good)}
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
        </div>
      </div>
    </Panel>
  );
}
