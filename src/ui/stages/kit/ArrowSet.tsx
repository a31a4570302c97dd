'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { readMasses, readScaleLine } from '@/contracts/grain-scale';
import { matchSet, SET_TOLERANCE_G } from '@/core/arrow';
import { write } from '@/core/units';
import { TextField } from '../../fields/TextField';
import { useDeviceLines } from '../../fields/useDeviceLines';
import { useKept } from '../../keep/useKept';
import { useJob } from '../../job/JobProvider';
import { arrowWords as w } from '../../words';
import { Block, BlockTitle, Verdict } from '../../pieces/layout';
import { Note } from '../../pieces/texts';
import css from './ArrowSet.module.css';

type Scale = { readonly state: 'idle' | 'weighing' | 'lost'; readonly message: string };

/** The finished set on the scale, arrow by arrow: how far apart they lie, and which to leave out. */
export function ArrowSet() {
  const { snapshot, derived, send } = useJob();
  const { massesG } = snapshot.job.arrows;
  const units = snapshot.shop.units;
  const { value: typed, set: setTyped } = useKept(`${snapshot.job.id}.masses`, () => '');
  const [wrong, setWrong] = useState('');
  const [scale, setScale] = useState<Scale>({ state: 'idle', message: '' });
  const [coming, setComing] = useState<readonly number[]>([]);
  const { listen, close } = useDeviceLines();
  const keep = async (next: readonly number[]) => {
    const answer = await send({ name: 'setArrows', massesG: [...next] });
    setWrong(answer?.message ?? '');
    return answer === null;
  };
  const weigh = () => {
    const found: number[] = [];
    setComing([]);
    setScale({ state: 'weighing', message: '' });
    listen(`/api/v1/jobs/${snapshot.job.id}/devices/grain-scale`, {
      onName: () => undefined,
      onLine: (line) => {
        const read = readScaleLine(line);
        if (read.kind !== 'mass') return;
        found.push(read.massG);
        setComing([...found]);
      },
      onDone: () => {
        // Silence empties nothing that was weighed before.
        if (found.length === 0) return setScale({ state: 'lost', message: w.scaleSilent });
        setScale({ state: 'idle', message: '' });
        void keep(found).then(() => setComing([]));
      },
      onLost: (message) => {
        setScale({ state: 'lost', message });
        if (found.length > 0) void keep(found).then(() => setComing([]));
      },
    });
  };
  const enter = async () => {
    const read = readMasses(typed, units.mass);
    if (!read.ok) return setWrong(read.message);
    if (read.massesG.length === 0) return;
    if (await keep([...massesG, ...read.massesG])) setTyped('');
  };
  const shown = coming.length > 0 ? coming : massesG;
  const match = matchSet(shown);
  const say = (mass: number) => write(mass, 'mass', units, { decimals: 1 });
  return (
    <Block>
      <BlockTitle>{w.set}</BlockTitle>
      <form
        className={css.setEntry}
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void enter();
        }}
      >
        <TextField
          id="arrow-masses"
          label={w.masses}
          value={typed}
          placeholder={w.massesHint(units.mass)}
          autoComplete="off"
          error={wrong !== ''}
          helperText={wrong || undefined}
          slotProps={{ htmlInput: { maxLength: 2000 } }}
          onChange={(event) => {
            setTyped(event.target.value);
            setWrong('');
          }}
        />
        <Button type="submit" variant="outlined">
          {w.addMasses}
        </Button>
        {scale.state === 'weighing' ? (
          <Button
            variant="outlined"
            onClick={() => {
              close();
              setScale({ state: 'idle', message: '' });
              if (coming.length > 0) void keep(coming).then(() => setComing([]));
            }}
          >
            {w.stopScale}
          </Button>
        ) : (
          <Button
            variant="outlined"
            onClick={() => (derived.kit.arrows?.item ? weigh() : setWrong(w.scaleNeedsArrow))}
          >
            {w.fromScale}
          </Button>
        )}
        {massesG.length > 0 && scale.state !== 'weighing' && (
          <Button variant="text" onClick={() => void keep([])}>
            {w.clearMasses}
          </Button>
        )}
      </form>
      {scale.state === 'lost' && <Note role="alert">{scale.message}</Note>}
      {scale.state === 'weighing' && (
        <Typography color="textSecondary" role="status">
          {w.weighing(coming.length)}
        </Typography>
      )}
      {shown.length === 1 && <Typography color="textSecondary">{w.oneMore}</Typography>}
      {match.ok && (
        <>
          <Verdict>
            <b>
              {match.leaveOut.length === 0
                ? w.allAlike(shown.length, say(match.keptSpreadG))
                : w.leaveOut(
                    match.leaveOut.map((i) => i + 1),
                    match.keep.length,
                    say(match.keptSpreadG),
                  )}
            </b>{' '}
            <Typography color="textSecondary" component="span">
              {w.spread(say(match.meanG), say(match.spreadG), say(SET_TOLERANCE_G))}
            </Typography>
          </Verdict>
          <ol className={css.setMasses} data-part="set-masses">
            {shown.map((mass, i) => (
              <li key={i} data-out={match.leaveOut.includes(i) ? 'yes' : 'no'}>
                <Typography variant="small" color="textSecondary">
                  {i + 1}
                </Typography>
                <Typography variant="figure">{say(mass)}</Typography>
                {match.leaveOut.includes(i) && <Typography variant="small">{w.out}</Typography>}
              </li>
            ))}
          </ol>
        </>
      )}
    </Block>
  );
}
