'use client';
import Button from '@mui/material/Button';
import { SET_TOLERANCE_G } from '@/core/arrow';
import { write } from '@/core/units';
import { Text } from '../../pieces/Text';
import { TextField } from '../../fields/TextField';
import { useJob } from '../../job/JobProvider';
import { arrowWords as w } from '../../words';
import { Block, BlockTitle, Verdict } from '../../pieces/layout';
import { Note } from '../../pieces/texts';
import { useArrowSet } from './useArrowSet';
import css from './ArrowSet.module.css';

/** The finished set on the scale, arrow by arrow: how far apart they lie, and which to leave out. */
export function ArrowSet() {
  const units = useJob().snapshot.shop.units;
  const set = useArrowSet();
  const { shown, match, scale } = set;
  const say = (mass: number) => write(mass, 'mass', units, { decimals: 1 });
  return (
    <Block>
      <BlockTitle>{w.set}</BlockTitle>
      <form
        className={css.setEntry}
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void set.enter();
        }}
      >
        <TextField
          id="arrow-masses"
          label={w.masses}
          value={set.typed}
          placeholder={w.massesHint(units.mass)}
          autoComplete="off"
          error={set.wrong !== ''}
          helperText={set.wrong || undefined}
          slotProps={{ htmlInput: { maxLength: 2000 } }}
          onChange={(event) => set.setTyped(event.target.value)}
        />
        <Button type="submit" variant="outlined">
          {w.addMasses}
        </Button>
        {scale.state === 'weighing' ? (
          <Button variant="outlined" onClick={set.stop}>
            {w.stopScale}
          </Button>
        ) : (
          <Button variant="outlined" onClick={set.weigh}>
            {w.fromScale}
          </Button>
        )}
        {set.clear && (
          <Button variant="text" onClick={set.clear}>
            {w.clearMasses}
          </Button>
        )}
      </form>
      {scale.state === 'lost' && <Note role="alert">{scale.message}</Note>}
      {scale.state === 'weighing' && (
        <Text soft role="status">
          {w.weighing(set.coming)}
        </Text>
      )}
      {shown.length === 1 && <Text soft>{w.oneMore}</Text>}
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
            <Text soft as="span">
              {w.spread(say(match.meanG), say(match.spreadG), say(SET_TOLERANCE_G))}
            </Text>
          </Verdict>
          <ol className={css.setMasses} data-part="set-masses">
            {shown.map((mass, i) => (
              <li key={i} data-out={match.leaveOut.includes(i) ? 'yes' : 'no'}>
                <Text variant="small" soft>
                  {i + 1}
                </Text>
                <Text variant="figure">{say(mass)}</Text>
                {match.leaveOut.includes(i) && <Text variant="small">{w.out}</Text>}
              </li>
            ))}
          </ol>
        </>
      )}
    </Block>
  );
}
