'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { weekOf, type ClosedDay, type Shop } from '@/core/job';
import { readShift, shiftText, type Shift } from '@/core/calendar';
import { SCHOOLS } from '@/core/setup';
import { STATIONS } from '@/core/bench';
import { Text } from '../pieces/Text';
import { TextField } from '../fields/TextField';
import { Choice } from '../fields/Choice';
import { plainDay } from '../fields/dates';
import { useKept } from '../keep/useKept';
import { post } from '../keep/post';
import { shopWords as w } from '../words';
import { Block, Questions, Rows } from '../pieces/layout';
import { plain, TypedField } from './TypedField';
import stockCss from './stock.module.css';
import css from './BenchSettings.module.css';

interface Props {
  readonly shop: Shop;
  readonly people: readonly string[];
  readonly change: (part: Partial<Shop>) => void;
}

/** How work is done here, at what, when, and when not. */
export function BenchSettings(props: Props) {
  const { shop, change } = props;
  return (
    <>
      <SchoolFields {...props} />
      <StationFields {...props} />
      <Hours {...props} />
      <Closed closed={shop.closed} onChange={(closed) => change({ closed })} />
    </>
  );
}

export function SchoolFields({ shop, change }: Props) {
  return (
    <Block as={Questions} id="schools">
      <h2>{w.schools}</h2>
      <Text data-wide="" soft>
        {w.schoolsHow}
      </Text>
      <Choice
        label={w.loop}
        value={shop.loopCounts ? 'yes' : 'no'}
        options={w.loops}
        onChange={(value) => change({ loopCounts: value === 'yes' })}
      />
      {SCHOOLS.map(({ name, title, choices }) => (
        <Choice
          key={name}
          label={title}
          wide={choices.length > 3}
          value={shop.schools[name]}
          options={choices}
          onChange={(id) => change({ schools: { ...shop.schools, [name]: id } })}
        />
      ))}
    </Block>
  );
}

export function StationFields({ shop, change }: Props) {
  return (
    <Block>
      <h2>{w.stations}</h2>
      <div className={stockCss.weights}>
        {STATIONS.map(({ id, name }) => (
          <TypedField
            key={id}
            id={`station-${id}`}
            label={name}
            value={String(shop.stations[id])}
            reads={(text) => plain(text, 1, 9, true)}
            onRead={(count) => change({ stations: { ...shop.stations, [id]: count } })}
          />
        ))}
      </div>
    </Block>
  );
}

export function Hours({ shop, people, change }: Props) {
  return (
    <Block id="hours">
      <h2>{w.hours}</h2>
      <Text soft>{w.hoursHow}</Text>
      <div className={css.hours}>
        {people.map((name) => {
          const week = weekOf(shop, name);
          return (
            <div key={name} className={css.hoursRow} role="group" aria-label={name}>
              <b>{name}</b>
              {w.weekdays.map((day, i) => (
                <TypedField
                  key={day}
                  id={`hours-${name}-${i}`.replace(/[^\w-]/g, '-')}
                  label={day}
                  value={shiftText(week[i] ?? null)}
                  reads={shiftOf}
                  onRead={(shift) =>
                    change({
                      hours: {
                        ...shop.hours,
                        [name]: week.map((other, k) => (k === i ? shift : other)),
                      },
                    })
                  }
                />
              ))}
            </div>
          );
        })}
      </div>
    </Block>
  );
}

function shiftOf(text: string) {
  const shift = readShift(text);
  return shift === undefined
    ? { ok: false as const, message: w.hoursWrong }
    : { ok: true as const, value: shift as Shift | null };
}

/** Days nobody works: from a calendar file, or typed. */
function Closed({
  closed,
  onChange,
}: {
  closed: readonly ClosedDay[];
  onChange: (closed: readonly ClosedDay[]) => void;
}) {
  const [said, setSaid] = useState<{ text: string; wrong: boolean } | null>(null);
  const { value: day, set: setDay } = useKept('shop.closed.day', () => '');
  const { value: name, set: setName } = useKept('shop.closed.name', () => '');
  const take = async (file: File) => {
    const answer = await post<{ closed: ClosedDay[]; added: number; notWholeDays: number }>(
      '/api/v1/shop/closed',
      { text: await file.text() },
    );
    if (!answer.ok) return setSaid({ text: answer.message, wrong: true });
    onChange(answer.body.closed);
    setSaid({ text: w.closedTaken(answer.body.added, answer.body.notWholeDays), wrong: false });
  };
  const add = () => {
    const rest = closed.filter((other) => other.day !== day);
    onChange(
      [...rest, { day, name: name.trim() || w.closed }].sort((a, b) => a.day.localeCompare(b.day)),
    );
    setDay('');
    setName('');
  };
  return (
    <Block id="closed">
      <h2>{w.closed}</h2>
      <Text soft>{w.closedHow}</Text>
      <Rows className={css.closedRows}>
        {closed.map((entry) => (
          <li key={entry.day}>
            <Text variant="figure">{plainDay(entry.day, true)}</Text>
            <span>{entry.name}</span>
            <Button
              size="small"
              variant="text"
              onClick={() => onChange(closed.filter((other) => other.day !== entry.day))}
            >
              {w.reopen}
            </Button>
          </li>
        ))}
        {closed.length === 0 && (
          <Text soft as="li">
            {w.noClosed}
          </Text>
        )}
      </Rows>
      <div className={css.closedAdd}>
        <TextField
          id="closed-day"
          type="date"
          label={w.closedDay}
          value={day}

          onChange={({ target }) => setDay(target.value)}
        />
        <TextField
          id="closed-name"
          label={w.closedName}
          value={name}
          slotProps={{ htmlInput: { maxLength: 80 } }}
          onChange={({ target }) => setName(target.value)}
        />
        <Button variant="outlined" disabled={!/^20\d\d-\d\d-\d\d$/.test(day)} onClick={add}>
          {w.closedAdd}
        </Button>
        <Button variant="outlined" component="label">
          {w.closedFile}
          <input
            id="closed-file"
            type="file"
            accept=".ics,text/calendar"
            aria-label={w.closedFile}
            hidden
            onChange={({ target }) => {
              const file = target.files?.[0];
              if (file) void take(file);
              target.value = '';
            }}
          />
        </Button>
      </div>
      {said && (
        <Text role="status" soft={!said.wrong} wrong={said.wrong}>
          {said.text}
        </Text>
      )}
    </Block>
  );
}
