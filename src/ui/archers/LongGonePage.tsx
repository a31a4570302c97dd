'use client';
import Link from 'next/link';
import { PageHead } from '../frame/PageHead';
import { dayText } from '../fields/dates';
import { Actions, Rows } from '../pieces/layout';
import { Page } from '../pieces/Page';
import { Text } from '../pieces/Text';
import { archerWords as w, shopWords } from '../words';
import css from './archers.module.css';

/** Who was not here for longer than the shop keeps people. */
export function LongGonePage({
  people,
  keepYears,
  today,
}: {
  people: readonly { readonly archerId: string; readonly name: string; readonly lastAt: string }[];
  keepYears: number | null;
  today: string;
}) {
  return (
    <>
      <PageHead title={w.long} />
      <Page>
        <Text soft>{keepYears === null ? w.longNever : w.longLead(keepYears)}</Text>
        <Actions>
          <Link href="/shop" prefetch={false}>
            {shopWords.title}
          </Link>
        </Actions>
        {keepYears !== null && people.length === 0 && <p>{w.longNone}</p>}
        <Rows className={css.jobs}>
          {people.map(({ archerId, name, lastAt }) => (
            <li key={archerId}>
              <Link href={`/archers/${archerId}`} prefetch={false}>
                {w.look}
              </Link>
              <b>{name}</b>
              <Text soft as="span">
                {w.last(dayText(lastAt.slice(0, 10), today))}
              </Text>
            </li>
          ))}
        </Rows>
      </Page>
    </>
  );
}
