'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { read, type ReadOptions } from '@/core/units';
import { Choice } from '../../fields/Choice';
import { TextField } from '../../fields/TextField';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { Actions, Block, Questions, Rows } from '../../pieces/layout';
import { Text } from '../../pieces/Text';
import { FieldError } from '../../pieces/texts';
import { steady as w } from '../../words';
import { grams, lengthOf } from './say';

/** What may be carried and how long a bar may be, and the bars the archer brings. */
export function BarLimits() {
  const { snapshot } = useJob();
  const { massLimitG, barLimitMm } = snapshot.job.kitWishes;
  const units = snapshot.shop.units;
  return (
    <Block data-part="bar-limits">
      <h3>{w.limits}</h3>
      <Questions>
        <Limit
          key={`mass${massLimitG}`}
          label={w.massLimit}
          said={massLimitG === null ? '' : grams(massLimitG)}
          options={{
            quantity: 'mass',
            shop: { ...units, mass: 'g' },
            min: 500,
            max: 10_000,
            what: 'mass',
          }}
          wish="massLimitG"
        />
        <Limit
          key={`bar${barLimitMm}`}
          label={w.barLimit}
          said={barLimitMm === null ? '' : lengthOf(barLimitMm, units)}
          options={{ quantity: 'length', shop: units, min: 100, max: 1500, what: 'length' }}
          wish="barLimitMm"
        />
      </Questions>
      <Text variant="small" soft as="p">
        {w.limitHow}
      </Text>
      <OwnBars />
    </Block>
  );
}

function Limit({
  label,
  said,
  options,
  wish,
}: {
  label: string;
  said: string;
  options: ReadOptions;
  wish: 'massLimitG' | 'barLimitMm';
}) {
  const { send } = useJob();
  const [text, setText] = useState(said);
  const [wrong, setWrong] = useState('');
  const take = async () => {
    if (text.trim() === said) return;
    const answer = text.trim() === '' ? null : read(text, options);
    if (answer && !answer.ok) return setWrong(answer.message);
    const trouble = await send({
      name: 'setKitWishes',
      wishes: { [wish]: answer ? answer.si : null },
    });
    setWrong(trouble?.message ?? '');
  };
  return (
    <TextField
      id={wish}
      label={label}
      value={text}
      placeholder={w.noLimit}
      autoComplete="off"
      error={wrong !== ''}
      helperText={wrong}
      slotProps={{ htmlInput: { maxLength: 20 } }}
      onChange={({ target }) => {
        setText(target.value);
        setWrong('');
      }}
      onBlur={() => void take()}
      onKeyDown={({ key }) => key === 'Enter' && void take()}
    />
  );
}

const NOTHING = { name: '', length: '', mass: '', side: 'front' as 'front' | 'rear' };

/** Bars no catalogue knows: named, measured and weighed once. */
function OwnBars() {
  const { snapshot, send } = useJob();
  const { ownBars } = snapshot.job.kitWishes;
  const units = snapshot.shop.units;
  const [open, setOpen] = useState(false);
  const [wrong, setWrong] = useState('');
  const { value, set, forget } = useKept(`${snapshot.job.id}.ownBar`, () => NOTHING);
  const put = (next: Partial<typeof NOTHING>) => {
    set((now) => ({ ...now, ...next }));
    setWrong('');
  };
  const keep = (next: readonly (typeof ownBars)[number][]) =>
    send({ name: 'setKitWishes', wishes: { ownBars: next.map((bar) => ({ ...bar })) } });
  const add = async () => {
    const length = read(value.length, {
      quantity: 'length',
      shop: units,
      min: 40,
      max: 1200,
      what: 'length of the bar',
    });
    const mass = read(value.mass, {
      quantity: 'mass',
      shop: { ...units, mass: 'g' },
      min: 10,
      max: 1500,
      what: 'mass of the bar',
    });
    if (value.name.trim() === '') return setWrong(`${w.ownName}?`);
    if (!length.ok) return setWrong(length.message);
    if (!mass.ok) return setWrong(mass.message);
    const trouble = await keep([
      ...ownBars,
      { side: value.side, name: value.name.trim(), lengthMm: length.si, massG: mass.si },
    ]);
    if (trouble) return setWrong(trouble.message);
    forget();
    setOpen(false);
  };
  return (
    <div data-part="own-bars">
      <h3>{w.own}</h3>
      <Rows>
        {ownBars.map((bar) => (
          <li key={`${bar.side}${bar.name}`}>
            <span>
              {bar.name}, {lengthOf(bar.lengthMm, units)}, {grams(bar.massG)}
            </span>
            <Button
              variant="link"
              onClick={() => void keep(ownBars.filter((other) => other !== bar))}
            >
              {w.ownRemove}
            </Button>
          </li>
        ))}
      </Rows>
      {open ? (
        <Questions>
          <TextField
            id="own-name"
            label={w.ownName}
            value={value.name}
            slotProps={{ htmlInput: { maxLength: 60 } }}
            onChange={({ target }) => put({ name: target.value })}
          />
          <Choice
            label={w.ownSide}
            value={value.side}
            options={w.ownSides}
            onChange={(side) => put({ side })}
          />
          <TextField
            id="own-length"
            label={w.ownLength}
            value={value.length}
            slotProps={{ htmlInput: { maxLength: 20 } }}
            onChange={({ target }) => put({ length: target.value })}
          />
          <TextField
            id="own-mass"
            label={w.ownMass}
            value={value.mass}
            slotProps={{ htmlInput: { maxLength: 20 } }}
            onChange={({ target }) => put({ mass: target.value })}
          />
          <FieldError role={wrong ? 'alert' : undefined}>{wrong}</FieldError>
          <Actions>
            <Button variant="contained" onClick={() => void add()}>
              {w.ownAdd}
            </Button>
          </Actions>
        </Questions>
      ) : (
        <Button variant="outlined" onClick={() => setOpen(true)}>
          {w.ownAdd}
        </Button>
      )}
    </div>
  );
}
