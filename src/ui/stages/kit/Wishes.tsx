'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import Close from '@mui/icons-material/Close';
import { partName, slotName, SLOTS, type CatalogueItem, type Slot } from '@/core/kit';
import type { KitWishes } from '@/core/job';
import { read, write } from '@/core/units';
import { Text } from '../../pieces/Text';
import { TextField } from '../../fields/TextField';
import { Press } from '../../pieces/Press';
import { useJob } from '../../job/JobProvider';
import { kitPackages as w } from '../../words';
import wishCss from './wish.module.css';

/** Changes what whole packages keep to; kept with the job. */
export function useWishes() {
  const { snapshot, send } = useJob();
  const wishes = snapshot.job.kitWishes;
  const change = (next: Partial<KitWishes>) =>
    send({
      name: 'setKitWishes',
      wishes: {
        ...(next.without ? { without: [...next.without] } : {}),
        ...(next.extra ? { extra: [...next.extra] } : {}),
        ...(next.massLimitG === undefined ? {} : { massLimitG: next.massLimitG }),
      },
    });
  return { wishes, change };
}

/** Places filled besides the usual ones, a limit of mass, and the parts that are not wanted. */
export function Wishes({ items }: { items: readonly CatalogueItem[] }) {
  const { derived, snapshot } = useJob();
  const { wishes, change } = useWishes();
  const [open, setOpen] = useState(false);
  const extras = SLOTS.filter(({ id, usual }) => !usual && !derived.kit[id]);
  const massSaid =
    wishes.massLimitG === null
      ? null
      : write(wishes.massLimitG, 'mass', { ...snapshot.shop.units, mass: 'g' }, { decimals: 0 });
  const toggle = (slot: Slot) =>
    change({
      extra: wishes.extra.includes(slot)
        ? wishes.extra.filter((other) => other !== slot)
        : [...wishes.extra, slot],
    });
  return (
    <div className={wishCss.wishes}>
      <p className={wishCss.wishesLine}>
        <Text soft as="span">
          {w.wishes(wishes.extra.map(slotName), massSaid)}
        </Text>
        <Button type="button" variant="link" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? w.wishesClose : w.wishesOpen}
        </Button>
      </p>
      {open && (
        <div className={wishCss.wishesOpen}>
          <div className={wishCss.wishPlaces} role="group" aria-label={w.also}>
            <Text variant="small" soft>
              {w.also}
            </Text>
            {extras.map(({ id }) => (
              <Press
                key={id}
                type="button"
                className={wishCss.wish}
                data-part="wish"
                aria-pressed={wishes.extra.includes(id)}
                onClick={() => void toggle(id)}
              >
                {slotName(id)}
              </Press>
            ))}
          </div>
          <MassLimit
            key={wishes.massLimitG}
            massLimitG={wishes.massLimitG}
            onChange={(massLimitG) => void change({ massLimitG })}
          />
        </div>
      )}
      {wishes.without.length > 0 && (
        <ul className={wishCss.without} data-part="without">
          {wishes.without.map((id) => {
            const item = items.find((other) => other.id === id);
            const name = item ? partName(item) : id;
            return (
              <li key={id}>
                {w.without(name)}
                <Button
                  type="button"
                  variant="plain"
                  aria-label={w.allowAgain(name)}
                  onClick={() =>
                    void change({ without: wishes.without.filter((other) => other !== id) })
                  }
                >
                  <Close />
                </Button>
              </li>
            );
          })}
        </ul>
      )}
    </div>
  );
}

const MASS = { min: 500, max: 10_000 };

function MassLimit({
  massLimitG,
  onChange,
}: {
  massLimitG: number | null;
  onChange: (massLimitG: number | null) => void;
}) {
  const shop = useJob().snapshot.shop.units;
  const units = { ...shop, mass: 'g' as const };
  const said = massLimitG === null ? '' : write(massLimitG, 'mass', units, { decimals: 0 });
  const [typed, setTyped] = useState(said);
  const [wrong, setWrong] = useState('');
  const save = () => {
    if (typed.trim() === said) return setWrong('');
    if (typed.trim() === '') return onChange(null);
    const answer = read(typed, { quantity: 'mass', shop: units, ...MASS, what: 'limit' });
    setWrong(answer.ok ? '' : answer.message);
    if (answer.ok) onChange(answer.si);
  };
  return (
    <form
      data-part="wish-mass"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <TextField
        id="mass-limit"
        label={w.massLimit}
        value={typed}
        placeholder={w.massNone}
        autoComplete="off"
        error={wrong !== ''}
        helperText={wrong || undefined}
        slotProps={{ htmlInput: { maxLength: 20 } }}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={save}
      />
      {massLimitG !== null && (
        <Button variant="text" onClick={() => onChange(null)}>
          {w.massFree}
        </Button>
      )}
    </form>
  );
}
