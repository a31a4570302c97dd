'use client';
import { useState } from 'react';
import { useRouter } from 'next/navigation';
import Button from '@mui/material/Button';
import { FIRST_HOUR, type FirstHourPart, type Shop } from '@/core/job';
import { PageHead } from '../frame/PageHead';
import { post } from '../keep/post';
import { Actions } from '../pieces/layout';
import { Page } from '../pieces/Page';
import { Text } from '../pieces/Text';
import { firstWords as w } from '../words';
import type { Managed } from '../people/usePeople';
import type { SampleCount } from '../shop/Samples';
import { FirstPart } from './FirstPart';
import css from './first.module.css';

/** The guided opening of a new shop, part after part. */
export function FirstPage({
  shop,
  seen: before,
  managed,
  samples,
}: {
  shop: Shop;
  seen: readonly string[];
  managed: Managed;
  samples: SampleCount;
}) {
  const router = useRouter();
  const [seen, setSeen] = useState(before);
  const open = FIRST_HOUR.find(({ id }) => !before.includes(id))?.id ?? 'job';
  const [part, setPart] = useState<FirstHourPart>(open);
  const at = FIRST_HOUR.findIndex(({ id }) => id === part);
  const go = (by: 1 | -1) => setPart(FIRST_HOUR[at + by]!.id);
  const see = async () => {
    const answer = await post('/api/v1/shop/opening', { seen: part });
    if (answer.ok) setSeen([...new Set([...seen, part])]);
  };
  const end = async () => {
    const answer = await post('/api/v1/shop/opening', { over: true });
    if (answer.ok) router.push('/');
  };
  return (
    <>
      <PageHead title={w.title} />
      <Page width="wide" className={css.page}>
        <nav aria-label={w.steps}>
          <ol className={css.parts}>
            {FIRST_HOUR.map(({ id, name }, i) => (
              <li key={id}>
                <Button
                  variant="plain"
                  aria-current={id === part ? 'step' : undefined}
                  onClick={() => setPart(id)}
                >
                  <Text variant="figure">{i + 1}</Text>
                  <span>{name}</span>
                  {seen.includes(id) && (
                    <Text soft as="span">
                      {w.done}
                    </Text>
                  )}
                </Button>
              </li>
            ))}
          </ol>
          <Button variant="text" onClick={() => void end()}>
            {w.skip}
          </Button>
          <Text variant="small" soft as="p">
            {w.skipHint}
          </Text>
        </nav>
        <section aria-labelledby="first-part">
          <h2 id="first-part" className={css.name}>
            {FIRST_HOUR[at]!.name}
          </h2>
          <p className={css.says}>{w.says[part]}</p>
          <FirstPart part={part} shop={shop} managed={managed} samples={samples} onJob={see} />
          <Actions>
            {at > 0 && (
              <Button variant="outlined" onClick={() => go(-1)}>
                {w.back}
              </Button>
            )}
            {at < FIRST_HOUR.length - 1 && (
              <Button
                variant="contained"
                onClick={() => {
                  void see();
                  go(1);
                }}
              >
                {w.next}
              </Button>
            )}
          </Actions>
        </section>
      </Page>
    </>
  );
}
