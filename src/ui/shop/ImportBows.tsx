'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { BOW_COLUMNS } from '@/contracts/bow-csv';
import { Text } from '../pieces/Text';
import { TextField } from '../fields/TextField';
import { Panel } from '../frame/Panel';
import { bowStock as w, frame } from '../words';
import { Actions, Verdict } from '../pieces/layout';
import { Note } from '../pieces/texts';
import { ChangeList } from './ChangeList';
import { Faults } from './Faults';
import { useBowImport } from './useBowImport';
import css from './ImportBows.module.css';

/** A file is looked at first; then the good rows are kept, or the whole of it is refused. */
export function ImportBows({ onClose, onDone }: { onClose: () => void; onDone: () => void }) {
  const { text, look, looked, trouble, ticks, setTicks, take, file, jumps, rows, good, taken } =
    useBowImport(onDone);
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
            <b>{w.looked(looked.added, looked.changed, looked.same, looked.faultCount)}</b>
          </Verdict>
        )}
        {looked && looked.faultCount > 0 && (
          <Faults faults={looked.faults} count={looked.faultCount} />
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
          {looked && looked.faultCount === 0 && (
            <Button variant="contained" onClick={() => void take('allOrNone')}>
              {w.takeAll(taken)}
            </Button>
          )}
          {looked && looked.faultCount > 0 && (
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
          {(!looked || looked.faultCount === 0) && (
            <Button variant="text" onClick={onClose}>
              {frame.cancel}
            </Button>
          )}
        </Actions>
      </Stack>
    </Panel>
  );
}
