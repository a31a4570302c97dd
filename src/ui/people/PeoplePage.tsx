'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { RIGHTS, roleOf, ROLES, type Person } from '@/core/people';
import { PageHead } from '../frame/PageHead';
import { Actions, Block, Rows } from '../pieces/layout';
import { More } from '../pieces/More';
import { Page } from '../pieces/Page';
import { Text } from '../pieces/Text';
import { Note, Tag } from '../pieces/texts';
import { peopleWords as w, shopWords } from '../words';
import { PersonForm } from './PersonForm';
import { Programs } from './Programs';
import { Tablets } from './Tablets';
import { useManaged, type Managed, type SendManaged } from './usePeople';
import css from './people.module.css';

/** Who works here, at which tablets, and which other programs may ask. */
export function PeoplePage({
  managed: initial,
  tablet,
  today,
  timeZone,
  address,
}: {
  managed: Managed;
  /** The tablet this page stands on. */
  tablet: string | null;
  today: string;
  timeZone: string;
  /** Where tablets reach the shop; null where they cannot. */
  address: string | null;
}) {
  const { managed, send } = useManaged(initial);
  return (
    <>
      <PageHead title={w.title} />
      <Page>
        <Text soft>{w.lead}</Text>
        <Actions>
          <Link href="/shop" prefetch={false}>
            {shopWords.title}
          </Link>
          <Link href="/shop/done" prefetch={false}>
            {w.done}
          </Link>
        </Actions>
        <People people={managed.people} send={send} />
        <Tablets
          tablets={managed.tablets}
          here={tablet}
          send={send}
          address={address}
          {...{ today, timeZone }}
        />
        <Programs programs={managed.programs} send={send} {...{ today, timeZone }} />
      </Page>
    </>
  );
}

export function People({ people, send }: { people: readonly Person[]; send: SendManaged }) {
  const [form, setForm] = useState<Person | 'new' | null>(null);
  const [trouble, setTrouble] = useState('');
  const back = async ({ id }: Person) => {
    const answer = await send(`/api/v1/people/${id}`, { left: false }, 'PATCH');
    setTrouble('fault' in answer ? answer.fault.message : '');
  };
  return (
    <Block data-part="people">
      <h2>{w.people}</h2>
      <Rows className={css.rows}>
        {people.map((person) => (
          <li key={person.id} data-left={person.leftAt !== null}>
            <b>{person.name}</b>
            <span>{roleOf(person.role).name}</span>
            <span>
              {!person.canSignIn && !person.leftAt && <Tag kind="warn">{w.noPin}</Tag>}{' '}
              <Text variant="small" soft>
                {person.leftAt ? w.left : person.atBench ? w.planned : ''}
              </Text>
            </span>
            <span className={css.acts}>
              {person.leftAt ? (
                <Button variant="text" onClick={() => void back(person)}>
                  {w.back}
                </Button>
              ) : (
                <Button variant="text" onClick={() => setForm(person)}>
                  {w.change}
                </Button>
              )}
            </span>
          </li>
        ))}
      </Rows>
      {trouble && (
        <Note kind="stop" role="alert">
          {trouble}
        </Note>
      )}
      <Actions>
        <Button variant="outlined" onClick={() => setForm('new')}>
          {w.add}
        </Button>
      </Actions>
      <More title={w.mayTitle}>
        <dl className={css.may}>
          {ROLES.map(({ id, name, rights }) => (
            <div key={id}>
              <dt>{name}</dt>
              <dd>
                {RIGHTS.filter((right) => rights.includes(right.id))
                  .map((right) => right.name)
                  .join('; ')}
              </dd>
            </div>
          ))}
        </dl>
      </More>
      {form && (
        <PersonForm
          person={form === 'new' ? null : form}
          send={send}
          onClose={() => setForm(null)}
        />
      )}
    </Block>
  );
}
