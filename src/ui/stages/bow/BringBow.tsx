'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { bowName, type BowOffer } from '@/core/bow';
import { CAME_AS, type CameAs } from '@/core/job';
import { Choice } from '../../fields/Choice';
import { TextField } from '../../fields/TextField';
import { useJob } from '../../job/JobProvider';
import { Actions, Block } from '../../pieces/layout';
import { FieldError } from '../../pieces/texts';
import { Text } from '../../pieces/Text';
import { elsewhere as w } from '../../words';
import { ToldBow } from './ToldBow';
import css from './BringBow.module.css';

/** How it came, and what it is: of a kind in the shop's list, or written down. */
export function BringBow({ offers }: { offers: readonly BowOffer[] }) {
  const { snapshot, send, sending } = useJob();
  const [came, setCame] = useState<CameAs>('box');
  const [bowId, choose] = useState('');
  const [trouble, setTrouble] = useState('');
  const kinds = offers.flatMap(({ bow, piece }) =>
    piece === null && bow.hand === snapshot.archer.hand ? [bow] : [],
  );
  const take = async () =>
    setTrouble(
      (await send({ name: 'bringBow', came, bow: { kind: 'listed', bowId } }))?.message ?? '',
    );
  return (
    <>
      <Text soft>{w.bringLead}</Text>
      <div className={css.came}>
        <Choice label={w.came} value={came} options={CAME_AS} onChange={setCame} />
      </div>
      <Block>
        <h3>{w.listed}</h3>
        <div className={css.listed}>
          <TextField
            select
            id="brought-bow"
            label={w.which}
            value={bowId}
            onChange={({ target }) => choose(target.value)}
          >
            <option value="">{w.notListed}</option>
            {kinds.map((bow) => (
              <option key={bow.id} value={bow.id}>
                {bowName(bow)}
              </option>
            ))}
          </TextField>
          <Actions sx={{ mt: 0 }}>
            <Button
              variant="contained"
              disabled={bowId === '' || sending}
              onClick={() => void take()}
            >
              {w.takeListed}
            </Button>
          </Actions>
        </div>
        <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
      </Block>
      {bowId === '' && <ToldBow came={came} />}
    </>
  );
}
