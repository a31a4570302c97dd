'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import type { RowFault } from '@/contracts/csv';
import { slotName } from '@/core/kit';
import { Panel } from '../frame/Panel';
import { frame, partStock as w } from '../words';
import { Actions, Verdict } from '../pieces/layout';
import { Note } from '../pieces/texts';
import { ChangeList } from './ChangeList';
import { Faults } from './Faults';
import { usePartImport, type FileParts } from './usePartImport';
import css from './ImportParts.module.css';

/** A file of parts on its way into the shop: read, looked at, taken at once or not at all. */
export function ImportParts({ onClose, onDone }: { onClose: () => void; onDone: () => void }) {
  const { state, file, ticks, setTicks, send, take, more, stop } = usePartImport(onDone);
  return (
    <Panel wide typing title={w.fromFile} onClose={onClose}>
      <Stack spacing={2}>
        <p>{w.fileHow}</p>
        {state.at !== 'reading' && state.at !== 'sending' && (
          <Actions>
            <Button variant="outlined" component="label">
              {w.chooseFile}
              <input
                id="part-file"
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
        )}
        {state.at !== 'sending' && file.asking}
        {(state.at === 'reading' || state.at === 'sending') && <Progress state={state} />}
        {state.at === 'refused' && (
          <Note kind="stop" role="alert">
            {state.message}
          </Note>
        )}
        {state.at === 'read' && <ReadFaults read={state.read} />}
        {state.at === 'looked' && (
          <Verdict role="status">
            <b>
              {w.looked(
                slotName(state.read.kind),
                state.look.added,
                state.look.changed,
                state.look.same,
              )}
            </b>
          </Verdict>
        )}
        {state.at === 'looked' && (
          <ChangeList
            {...state.look}
            ticks={ticks}
            onTicks={setTicks}
            onMore={() => void more(state)}
          />
        )}
        <Actions>
          {state.at === 'looked' && (
            <Button variant="contained" onClick={() => void take(state.look.importId)}>
              {w.takeAll(
                state.read.parts.length -
                  ticks.except.size -
                  (state.look.jumpCount - ticks.jumps.size),
              )}
            </Button>
          )}
          {state.at === 'read' && state.read.parts.length > 0 && (
            <Button variant="contained" onClick={() => void send(state.read)}>
              {w.keepGood(state.read.parts.length)}
            </Button>
          )}
          <Button
            variant={state.at === 'read' ? 'outlined' : 'text'}
            onClick={() => {
              stop();
              onClose();
            }}
          >
            {state.at === 'read'
              ? w.refuseAll
              : state.at === 'reading' || state.at === 'sending'
                ? w.stop
                : frame.cancel}
          </Button>
        </Actions>
      </Stack>
    </Panel>
  );
}

function Progress({
  state: { at, done, total },
}: {
  state: { at: 'reading' | 'sending'; done: number; total: number };
}) {
  const percent = Math.round((100 * done) / Math.max(1, total));
  return (
    <div>
      <p role="status">{at === 'reading' ? w.reading(done, total) : w.sending(done, total)}</p>
      <div
        className={css.progress}
        role="progressbar"
        aria-label={at === 'reading' ? w.readingBar : w.sendingBar}
        aria-valuenow={percent}
        aria-valuemin={0}
        aria-valuemax={100}
      >
        <span style={{ width: `${percent}%` }} />
      </div>
    </div>
  );
}

function ReadFaults({ read: { parts, faults, faultCount } }: { read: FileParts }) {
  return (
    <>
      <Verdict role="status">
        <b>{w.faulty(parts.length, faultCount)}</b>
      </Verdict>
      <Faults faults={faults as readonly RowFault[]} count={faultCount} />
    </>
  );
}
