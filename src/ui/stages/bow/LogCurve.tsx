'use client';
import { useRef, useState } from 'react';
import Button from '@mui/material/Button';
import { readCurveFile } from '@/contracts/curve-file';
import {
  CURVE_DOUBTS,
  curveDoubts,
  curveFacts,
  type CurveDoubt,
  type CurvePoint,
} from '@/core/bow';
import { latest } from '@/core/setup';
import { newton } from '@/core/units';
import { Text } from '../../pieces/Text';
import { Panel } from '../../frame/Panel';
import { useJob } from '../../job/JobProvider';
import { bow as w } from '../../words';
import { Actions, Rows } from '../../pieces/layout';
import { Note } from '../../pieces/texts';
import type { BoardState } from './useDrawBoard';

interface Asked {
  readonly points: readonly CurvePoint[];
  readonly source: 'device' | 'file';
  readonly doubts: readonly CurveDoubt[];
}

/** Logging a curve on the draw board, or reading one from a file; kept only when it can be one. */
export function LogCurve({
  board,
  onStart,
  onClear,
}: {
  board: BoardState;
  onStart: () => void;
  onClear: () => void;
}) {
  const { derived, send } = useJob();
  const file = useRef<HTMLInputElement>(null);
  const weighed = latest(derived.history, 'peakWeight')?.si ?? null;
  const [trouble, setTrouble] = useState('');
  const [asked, ask] = useState<Asked | null>(null);
  const keep = async (points: readonly CurvePoint[], source: Asked['source'], sure = false) => {
    const facts = curveFacts(points);
    const doubts = facts.ok
      ? curveDoubts(points, facts, weighed === null ? null : newton(weighed))
      : [];
    if (doubts.length > 0 && !sure) return ask({ points, source, doubts });
    ask(null);
    const answer = await send({ name: 'keepCurve', source, points: [...points], sure });
    setTrouble(answer?.message ?? '');
    if (!answer) onClear();
  };
  const read = async (chosen: File | undefined) => {
    if (!chosen) return;
    const answer = readCurveFile(await chosen.text());
    if (answer.ok) await keep(answer.points, 'file');
    else setTrouble(`${chosen.name}: ${answer.message}`);
  };
  const facts = board.points.length > 0 ? curveFacts(board.points) : null;
  const ended = board.state === 'done' || board.state === 'lost';
  return (
    <div data-part="log-curve">
      <Actions>
        {board.state === 'idle' && (
          <>
            <Button variant="outlined" onClick={onStart}>
              {w.logBoard}
            </Button>
            <Button variant="outlined" onClick={() => file.current?.click()}>
              {w.readFile}
            </Button>
            <input
              ref={file}
              id="curve-file"
              type="file"
              accept=".csv,.txt,text/csv,text/plain"
              aria-label={w.readFile}
              hidden
              onChange={(event) => {
                void read(event.target.files?.[0]);
                event.target.value = '';
              }}
            />
          </>
        )}
        {board.state === 'drawing' && (
          <Button variant="outlined" onClick={onClear}>
            {w.stopLog}
          </Button>
        )}
        {ended && (
          <>
            {facts?.ok && (
              <Button variant="contained" onClick={() => void keep(board.points, 'device')}>
                {w.keepCurve}
              </Button>
            )}
            <Button variant="outlined" onClick={onStart}>
              {w.logAgain}
            </Button>
            <Button variant="text" onClick={onClear}>
              {w.dropLog}
            </Button>
          </>
        )}
        {board.state !== 'idle' && (
          <Text soft as="span" role="status">
            {w.logged(board.device, board.points.length, board.leftOut)}
          </Text>
        )}
      </Actions>
      {board.state === 'lost' && <Note role="alert">{board.message}</Note>}
      {ended && facts && !facts.ok && <Note>{facts.message}</Note>}
      {asked && (
        <Panel title={w.curveAsk} onClose={() => ask(null)}>
          <Rows>
            {asked.doubts.map((doubt) => (
              <li key={doubt}>{CURVE_DOUBTS[doubt]}</li>
            ))}
          </Rows>
          <Actions>
            <Button variant="contained" autoFocus onClick={() => ask(null)}>
              {w.curveNot}
            </Button>
            <Button variant="outlined" onClick={() => void keep(asked.points, asked.source, true)}>
              {w.curveKeep}
            </Button>
          </Actions>
        </Panel>
      )}
      {trouble && (
        <Note kind="stop" role="alert">
          {trouble}
        </Note>
      )}
    </div>
  );
}
