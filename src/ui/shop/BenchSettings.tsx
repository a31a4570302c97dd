'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { ClosedDay, Shop } from '@/core/job';
import { readShift, shiftText, USUAL_WEEK, type Shift } from '@/core/calendar';
import { SCHOOLS } from '@/core/setup';
import { STATIONS } from '@/core/bench';
import { Choice } from '../fields/Choice';
import { plainDay } from '../fields/dates';
import { useKept } from '../keep/useKept';
import { post } from '../keep/post';
import { shopWords as w } from '../words';
import { plain, TypedField } from './TypedField';

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
      <section className="block questions" id="schools">
        <h2>{w.schools}</h2>
        <p className="soft wide">{w.schoolsHow}</p>
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
      </section>
      <section className="block">
        <h2>{w.stations}</h2>
        <div className="weights">
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
      </section>
      <Hours {...props} />
      <Closed closed={shop.closed} onChange={(closed) => change({ closed })} />
    </>
  );
}

function Hours({ shop, people, change }: Props) {
  return (
    <section className="block" id="hours">
      <h2>{w.hours}</h2>
      <p className="soft">{w.hoursHow}</p>
      <div className="hours">
        {people.map((name) => {
          const week = shop.hours[name] ?? USUAL_WEEK;
          return (
            <div key={name} className="hours-row" role="group" aria-label={name}>
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
    </section>
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
    <section className="block" id="closed">
      <h2>{w.closed}</h2>
      <p className="soft">{w.closedHow}</p>
      <ul className="rows closed-rows">
        {closed.map((entry) => (
          <li key={entry.day}>
            <span className="figure">{plainDay(entry.day, true)}</span>
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
        {closed.length === 0 && <li className="soft">{w.noClosed}</li>}
      </ul>
      <div className="closed-add">
        <TextField
          id="closed-day"
          type="date"
          label={w.closedDay}
          value={day}
          slotProps={{ inputLabel: { shrink: true } }}
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
        <p role="status" className={said.wrong ? 'field-error' : 'soft'}>
          {said.text}
        </p>
      )}
    </section>
  );
}
