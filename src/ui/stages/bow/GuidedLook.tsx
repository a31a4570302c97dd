'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { LOOKS, type LookPlace, type LookSeen, type Seen } from '@/core/job';
import { LookDrawing } from '../../drawings/LookDrawing';
import { Choice } from '../../fields/Choice';
import { whenText } from '../../fields/dates';
import { TextField } from '../../fields/TextField';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { Actions, Block, Rows } from '../../pieces/layout';
import { FieldError, Tag } from '../../pieces/texts';
import { Text } from '../../pieces/Text';
import { elsewhere as w } from '../../words';
import css from './GuidedLook.module.css';

/** Place after place, each with what is sound and what is not; the first open one is at hand. */
export function GuidedLook() {
  const { snapshot } = useJob();
  const { look } = snapshot.job.elsewhere!;
  const [again, lookAgain] = useState<string | null>(null);
  const done = LOOKS.filter(({ id }) => look[id]).length;
  const current =
    LOOKS.find(({ id }) => id === again) ?? LOOKS.find(({ id }) => look[id] === undefined) ?? null;
  return (
    <Block>
      <h3>
        {w.look}{' '}
        <Text soft as="span">
          {w.lookCount(done, LOOKS.length)}
        </Text>
      </h3>
      {done < LOOKS.length && <Text soft>{w.lookLead}</Text>}
      {current && <OnePlace key={current.id} place={current} onDone={() => lookAgain(null)} />}
      <Rows className={css.rows} data-part="looked">
        {LOOKS.filter(({ id }) => look[id] && id !== current?.id).map((place) => (
          <SeenRow
            key={place.id}
            place={place}
            seen={look[place.id]!}
            onAgain={() => lookAgain(place.id)}
          />
        ))}
      </Rows>
    </Block>
  );
}

/** The place at hand: both drawings beside each other, and what was seen. */
function OnePlace({ place, onDone }: { place: LookPlace; onDone: () => void }) {
  const { snapshot, send, sending } = useJob();
  const { id, name, how, sound, unsound, mend, stops } = place;
  const [seen, see] = useState<Seen | null>(null);
  const kept = useKept(`${snapshot.job.id}.look.${id}`, () => '');
  const [trouble, setTrouble] = useState('');
  const note = async (what: Seen) => {
    const refused = await send({ name: 'noteLook', place: id, seen: what, words: kept.value });
    setTrouble(refused?.message ?? '');
    if (!refused) {
      kept.forget();
      onDone();
    }
  };
  // Sound is one tap; what is not wants a word.
  const choose = (what: Seen) => {
    see(what);
    if (what === 'sound') void note(what);
  };
  return (
    <div className={css.place} data-place={id}>
      <div>
        <b className={css.name}>{name}</b>
        <p>{how}</p>
      </div>
      <figure>
        <LookDrawing of={id} bad={false} name={name} />
        <figcaption>
          <b>{w.soundIs}</b> {sound}
        </figcaption>
      </figure>
      <figure>
        <LookDrawing of={id} bad name={name} />
        <figcaption>
          <b>{w.unsoundIs}</b> {unsound}
        </figcaption>
      </figure>
      <div className={css.answer}>
        <Choice label={name} value={seen} options={w.choices} onChange={choose} />
        {seen !== null && seen !== 'sound' && (
          <form
            onSubmit={(event) => {
              event.preventDefault();
              void note(seen);
            }}
          >
            <Text soft>{stops ? `${w.stopped}. ${mend}` : `${w.care}. ${mend}`}</Text>
            <TextField
              id={`look-${id}`}
              label={w.found}
              helperText={w.foundHint}
              autoComplete="off"
              value={kept.value}
              slotProps={{ htmlInput: { maxLength: 200 } }}
              onChange={({ target }) => kept.set(() => target.value)}
            />
            <Actions>
              <Button
                type="submit"
                variant="contained"
                disabled={kept.value.trim().length < 3 || sending}
              >
                {w.note}
              </Button>
            </Actions>
          </form>
        )}
        <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
      </div>
    </div>
  );
}

function SeenRow({
  place: { id, name, stops, mend },
  seen: { seen, words, who, at },
  onAgain,
}: {
  place: LookPlace;
  seen: LookSeen;
  onAgain: () => void;
}) {
  const { snapshot } = useJob();
  const { shop, today } = snapshot;
  return (
    <li data-look={id}>
      <div>
        <b>{name}</b>{' '}
        <Tag kind={seen === 'sound' ? 'in' : stops ? 'stop' : 'warn'}>{w.seen[seen]}</Tag> {words}
        <Text variant="small" soft as="div">
          {w.by(who, whenText(at, shop.timeZone, today))}
        </Text>
        {seen !== 'sound' && <Text soft>{mend}</Text>}
      </div>
      <Button variant="text" aria-label={`${w.lookAgain}: ${name}`} onClick={onAgain}>
        {w.lookAgain}
      </Button>
    </li>
  );
}
