import Link from 'next/link';
import type { TodayView } from '@/core/job';
import { Text } from '../pieces/Text';
import { BlockTitle, Rows, Split } from '../pieces/layout';
import { plainDay } from '../fields/dates';
import { orderWords, today as w } from '../words';
import css from './TodayPage.module.css';

/** What comes in, and who comes back. */
export function DayLists({ arriving, comingBack }: Pick<TodayView, 'arriving' | 'comingBack'>) {
  return (
    <Split className={css.dayLists}>
      <section>
        <BlockTitle>
          {w.arriving}{' '}
          <Link href="/orders" prefetch={false}>
            {orderWords.link}
          </Link>
        </BlockTitle>
        <Rows className={css.dayRows}>
          {arriving.map(({ day, label, name, jobId }) => (
            <li key={`${jobId} ${label} ${day}`}>
              <Text variant="figure">{plainDay(day)}</Text>
              <span>{label}</span>
              {jobId === null ? (
                <Link href="/orders" prefetch={false}>
                  {orderWords.forShelf}
                </Link>
              ) : (
                <Link href={`/jobs/${jobId}`} prefetch={false}>
                  {name}
                </Link>
              )}
            </li>
          ))}
          {arriving.length === 0 && (
            <Text soft as="li">
              {w.noArriving}
            </Text>
          )}
        </Rows>
      </section>
      <section>
        <BlockTitle>{w.comingBack}</BlockTitle>
        <Rows className={css.dayRows}>
          {comingBack.map(({ day, name, jobId, why }) => (
            <li key={`${jobId} ${why}`}>
              <Text variant="figure">{plainDay(day)}</Text>
              <Text soft as="span">
                {why === 'visit' ? w.checks : w.grows}
              </Text>
              <Link href={`/jobs/${jobId}`} prefetch={false}>
                {name}
              </Link>
            </li>
          ))}
          {comingBack.length === 0 && (
            <Text soft as="li">
              {w.noComingBack}
            </Text>
          )}
        </Rows>
      </section>
    </Split>
  );
}
