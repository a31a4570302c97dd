'use client';
import { useId, useState } from 'react';
import NativeSelect from '@mui/material/NativeSelect';
import {
  partName,
  sellCents,
  slotName,
  type AnyPart,
  type ArrowChoice,
  type ArrowPart,
  type ShaftOffer,
  partFacts,
} from '@/core/kit';
import { mm, read, write, writeMoney, type Mm } from '@/core/units';
import { TextField } from '../../fields/TextField';
import type { Trouble } from '../../keep/post';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { arrowWords as w } from '../../words';
import css from './ArrowForm.module.css';

type Change = (part: Partial<ArrowChoice>) => Promise<Trouble | null>;

/** Parts, length and number of one build; each is saved as it is chosen. */
export function ArrowForm({
  choice,
  components,
  offers,
  safeMm,
  onChange,
}: {
  choice: ArrowChoice;
  components: readonly AnyPart[];
  offers: readonly ShaftOffer[];
  safeMm: Mm | null;
  onChange: Change;
}) {
  const { snapshot, send } = useJob();
  const { units } = snapshot.shop;
  const shaftWord = (part: AnyPart) => {
    const offer = offers.find(({ shaft }) => shaft.id === part.id);
    return offer?.verdict ? `${w.verdicts[offer.verdict]} · ` : '';
  };
  const pick = (kind: ArrowPart, key: keyof ArrowChoice) => (
    <PartSelect
      kind={kind}
      value={choice[key] as string}
      options={components.filter(({ slot }) => slot === kind)}
      say={(part) =>
        `${kind === 'shaft' ? shaftWord(part) : ''}${partName(part)} · ${partFacts(part, units)} · ${writeMoney(sellCents(part))}`
      }
      onPick={(id) => void onChange({ [key]: id })}
    />
  );
  return (
    <div className={css.arrowForm}>
      {pick('shaft', 'shaftId')}
      {pick('point', 'pointId')}
      {pick('insert', 'insertId')}
      {pick('nock', 'nockId')}
      {pick('vane', 'vaneId')}
      <div className={css.arrowNumbers} data-part="arrow-numbers">
        <NumberField
          id="vanes"
          label={w.vanes}
          value={String(choice.vaneCount)}
          reads={(text) => whole(text, 2, 6)}
          onRead={(vaneCount) => onChange({ vaneCount })}
        />
        <NumberField
          id="count"
          label={w.count}
          value={String(choice.count)}
          reads={(text) => whole(text, 1, 144)}
          onRead={(count) => onChange({ count })}
        />
        <NumberField
          id="length"
          label={w.length}
          hint={safeMm === null ? undefined : w.safe(write(safeMm, 'length', units))}
          value={write(choice.lengthMm, 'length', units)}
          reads={(text) => {
            const answer = read(text, {
              quantity: 'length',
              shop: units,
              min: 350,
              max: 900,
              what: 'length',
            });
            return answer.ok ? { ok: true, value: answer.si } : answer;
          }}
          onRead={(length) => onChange({ lengthMm: mm(length) })}
        />
        <NumberField
          id="rest"
          label={w.rest}
          hint={w.restHint}
          value={write(snapshot.job.arrows.restAheadMm, 'length', units)}
          reads={(text) => {
            const answer = read(text, {
              quantity: 'length',
              shop: units,
              min: -60,
              max: 40,
              what: 'place of the rest',
            });
            return answer.ok ? { ok: true, value: answer.si } : answer;
          }}
          onRead={(restAheadMm) => send({ name: 'setArrows', restAheadMm })}
        />
      </div>
    </div>
  );
}

function PartSelect({
  kind,
  value,
  options,
  say,
  onPick,
}: {
  kind: ArrowPart;
  value: string;
  options: readonly AnyPart[];
  say: (part: AnyPart) => string;
  onPick: (id: string) => void;
}) {
  const id = useId();
  return (
    <div className={css.arrowPick}>
      <label htmlFor={id}>{slotName(kind)}</label>
      <NativeSelect
        value={options.some((part) => part.id === value) ? value : ''}
        inputProps={{ id }}
        onChange={(event) => onPick(event.target.value)}
      >
        {!options.some((part) => part.id === value) && <option value="">{w.gone}</option>}
        {options.map((part) => (
          <option key={part.id} value={part.id}>
            {say(part)}
          </option>
        ))}
      </NativeSelect>
    </div>
  );
}

type Read<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };

function whole(text: string, min: number, max: number): Read<number> {
  const value = /^\d+$/.test(text.trim()) ? Number(text) : Number.NaN;
  return value >= min && value <= max
    ? { ok: true, value }
    : { ok: false, message: w.wholeBetween(min, max) };
}

/** Saved when it is left or entered; what cannot be read stays as typed, with why. */
function NumberField<T>({
  id,
  label,
  hint,
  value,
  reads,
  onRead,
}: {
  id: string;
  label: string;
  hint?: string;
  value: string;
  reads: (text: string) => Read<T>;
  onRead: (value: T) => Promise<Trouble | null>;
}) {
  const { job } = useJob().snapshot;
  const {
    value: typed,
    set: setTyped,
    forget,
  } = useKept<string | null>(`${job.id}.arrow.${id}`, () => null);
  const [wrong, setWrong] = useState('');
  const save = async () => {
    if (typed === null || typed.trim() === value) return forget();
    const answer = reads(typed);
    if (!answer.ok) return setWrong(answer.message);
    const trouble = await onRead(answer.value);
    setWrong(trouble?.message ?? '');
    if (!trouble) forget();
  };
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <TextField
        id={`arrow-${id}`}
        label={label}
        value={typed ?? value}
        autoComplete="off"
        error={wrong !== ''}
        helperText={wrong || hint}
        slotProps={{ htmlInput: { maxLength: 20 } }}
        onChange={(event) => {
          setTyped(event.target.value);
          setWrong('');
        }}
        onBlur={() => void save()}
      />
    </form>
  );
}
