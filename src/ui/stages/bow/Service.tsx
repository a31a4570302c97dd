'use client';
import { useState } from 'react';
import Link from 'next/link';
import Checkbox from '@mui/material/Checkbox';
import { shopTemplates, stationName } from '@/core/bench';
import { ALWAYS_DONE } from '@/core/job';
import { jobTotal } from '@/core/quote';
import { writeMoney } from '@/core/units';
import { useJob } from '../../job/JobProvider';
import { Actions, Block, Rows } from '../../pieces/layout';
import { FieldError, Tag } from '../../pieces/texts';
import { Text } from '../../pieces/Text';
import { elsewhere as w } from '../../words';
import css from './Service.module.css';

const always: ReadonlySet<string> = new Set(ALWAYS_DONE);

/** Every step of this bow with its minutes: what is left out costs nothing and goes on a page for home. */
export function Service() {
  const { snapshot, derived, send } = useJob();
  const [trouble, setTrouble] = useState('');
  const { job, shop } = snapshot;
  const leftOut = new Set(job.elsewhere!.leftOut);
  const steps = shopTemplates(derived.context).filter((step) => step.applies(derived.context));
  const { workMinutes, workCents } = jobTotal(snapshot, derived);
  const minutes = steps
    .filter(({ id }) => !leftOut.has(id))
    .reduce((sum, step) => sum + step.minutes, 0);
  const toggle = async (id: string) => {
    const next = leftOut.has(id) ? [...leftOut].filter((one) => one !== id) : [...leftOut, id];
    setTrouble((await send({ name: 'chooseService', leftOut: next }))?.message ?? '');
  };
  return (
    <Block>
      <h3>{w.service}</h3>
      <Text soft>{w.serviceLead}</Text>
      <Rows className={css.steps} data-part="service">
        {steps.map(({ id, title, station, minutes: each }) => (
          <li key={id}>
            <label>
              <Checkbox
                id={`service-${id}`}
                checked={!leftOut.has(id)}
                disabled={always.has(id)}
                onChange={() => void toggle(id)}
              />
              <span>{title}</span>
            </label>
            <Text soft as="span">
              {stationName(station)}
            </Text>
            <Text variant="figure" as="span">
              {each} min
            </Text>
            {always.has(id) ? <Tag kind="plain">{w.always}</Tag> : <span />}
          </li>
        ))}
      </Rows>
      <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
      <p data-part="service-sum">
        <b>
          {w.serviceSum(
            steps.length - steps.filter(({ id }) => leftOut.has(id)).length,
            Math.round(workMinutes || minutes),
            shop.quote.hourCents > 0 ? writeMoney(workCents) : null,
          )}
        </b>
      </p>
      {leftOut.size > 0 && (
        <Actions>
          <Link href={`/jobs/${job.id}/at-home`} prefetch={false}>
            {w.home}
          </Link>
        </Actions>
      )}
    </Block>
  );
}
