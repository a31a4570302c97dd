'use client';
import { useState } from 'react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { Shop } from '@/core/job';
import type { ShopUnits } from '@/core/units';
import { Choice, type ChoiceOption } from '../fields/Choice';
import { PageHead } from '../frame/PageHead';
import { post } from '../job/post';
import { BenchSettings } from './BenchSettings';
import { KitSettings } from './KitSettings';
import { shopWords as w } from '../words';

/** Name, people, units and school of the shop. */
export function ShopPage({ shop }: { shop: Shop }) {
  const router = useRouter();
  const [draft, setDraft] = useState(shop);
  const [people, setPeople] = useState(shop.people.join('\n'));
  const [said, setSaid] = useState<{ text: string; wrong: boolean } | null>(null);
  const [faults, setFaults] = useState<Faults>({});
  const [wrongFields, setWrongFields] = useState<readonly string[]>([]);
  const change = (part: Partial<Shop>) => {
    setDraft({ ...draft, ...part });
    setSaid(null);
  };
  const onFault = (field: string, wrong: boolean) =>
    setWrongFields((now) => [...now.filter((other) => other !== field), ...(wrong ? [field] : [])]);
  const save = async () => {
    const names = namesIn(people);
    const found = faultsOf(draft, names);
    setFaults(found);
    if (Object.keys(found).length > 0) return;
    if (wrongFields.length > 0) return setSaid({ text: w.seeMarked, wrong: true });
    const answer = await post<Shop>(
      '/api/v1/shop',
      {
        ...draft,
        people: names,
        hours: Object.fromEntries(
          Object.entries(draft.hours).filter(([name]) => names.includes(name)),
        ),
      },
      'PUT',
    );
    setSaid({ text: answer.ok ? w.saved : answer.message, wrong: !answer.ok });
    if (answer.ok) router.refresh();
  };
  const shared = { draft, change };
  const text = (field: 'name' | 'address' | 'timeZone', maxLength: number) => (
    <TextField
      id={`shop-${field}`}
      label={w[field]}
      value={draft[field]}
      error={faults[field] !== undefined}
      helperText={faults[field]}
      slotProps={{ htmlInput: { maxLength } }}
      onChange={(event) => change({ [field]: event.target.value })}
    />
  );
  return (
    <>
      <PageHead title={w.title} />
      <main className="shop">
        <form
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            void save();
          }}
        >
          <p className="soft">{w.lead}</p>
          <p>
            <Link href="/shop/bows" prefetch={false}>
              {w.bows}
            </Link>{' '}
            ·{' '}
            <Link href="/shop/parts" prefetch={false}>
              {w.parts}
            </Link>{' '}
            ·{' '}
            <Link href="/shop/steps" prefetch={false}>
              {w.steps}
            </Link>
          </p>
          <section className="block questions">
            {text('name', 80)}
            {text('address', 200)}
            {text('timeZone', 60)}
            <TextField
              id="shop-people"
              label={w.people}
              error={faults.people !== undefined}
              helperText={faults.people ?? w.peopleHint}
              multiline
              value={people}
              onChange={(event) => {
                setPeople(event.target.value);
                setSaid(null);
              }}
            />
          </section>
          <section className="block questions">
            <h2>{w.units}</h2>
            <UnitChoice {...shared} unit="length" label={w.length} options={w.lengths} />
            <UnitChoice {...shared} unit="force" label={w.force} options={w.forces} />
            <UnitChoice {...shared} unit="mass" label={w.mass} options={w.masses} />
            <UnitChoice {...shared} unit="speed" label={w.speed} options={w.speeds} />
            <UnitChoice {...shared} unit="distance" label={w.distance} options={w.distances} />
          </section>
          <BenchSettings shop={draft} people={namesIn(people)} change={change} onFault={onFault} />
          <KitSettings shop={draft} change={change} onFault={onFault} />
          <div className="actions">
            <Button type="submit" variant="contained">
              {w.save}
            </Button>
            <Link href="/">{w.back}</Link>
            {said && (
              <span role="status" className={said.wrong ? 'field-error' : 'soft'}>
                {said.text}
              </span>
            )}
          </div>
        </form>
      </main>
    </>
  );
}

type Faults = Partial<Record<'name' | 'address' | 'timeZone' | 'people', string>>;

const namesIn = (text: string) =>
  text
    .split('\n')
    .map((name) => name.trim())
    .filter(Boolean);

/** What cannot be saved as it stands, by field. */
function faultsOf(draft: Shop, names: readonly string[]): Faults {
  return {
    ...(draft.name.trim() === '' ? { name: w.nameMissing } : {}),
    ...(isTimeZone(draft.timeZone) ? {} : { timeZone: w.timeZoneWrong }),
    ...(names.length === 0 ? { people: w.peopleMissing } : {}),
    ...(names.some((name) => name.length > 60) ? { people: w.peopleLong } : {}),
  };
}

function isTimeZone(text: string): boolean {
  try {
    return text !== '' && Boolean(new Intl.DateTimeFormat('en', { timeZone: text }));
  } catch {
    return false;
  }
}

function UnitChoice<K extends keyof ShopUnits>({
  draft,
  change,
  unit,
  label,
  options,
}: {
  draft: Shop;
  change: (part: Partial<Shop>) => void;
  unit: K;
  label: string;
  options: readonly ChoiceOption<ShopUnits[K]>[];
}) {
  return (
    <Choice
      label={label}
      value={draft.units[unit]}
      options={options}
      onChange={(value) => change({ units: { ...draft.units, [unit]: value } })}
    />
  );
}
