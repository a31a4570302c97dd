'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import clsx from 'clsx';
import type { TodayView } from '@/core/job';
import { Brand } from '../frame/Brand';
import { TopTools } from '../frame/TopTools';
import { useShell } from '../frame/useShell';
import { longDay } from '../fields/dates';
import { Key } from '../pieces/texts';
import { frame, today as w } from '../words';
import topCss from '../frame/Top.module.css';
import css from './TodayPage.module.css';

const clock = (minutes: number) =>
  `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;

/** Which day it is, how long the shop is open, and a new job. */
export function TodayTop({ view }: { view: TodayView }) {
  const { open } = useShell();
  return (
    <header className={topCss.top} data-part="top">
      <Brand />
      <h1>{w.title(longDay(view.day))}</h1>
      <span className={topCss.about}>
        {view.shopName} · {w.openTill(clock(view.closes))}
      </span>
      <div className={topCss.facts}>
        <Button
          href="/shop"
          prefetch={false}
          variant="plain"
          component={Link}
          className={css.besideTitle}
        >
          {w.settings}
        </Button>
        <TopTools />
        <Button variant="contained" className={topCss.act} onClick={() => open('new')}>
          {frame.newJob} <Key className={clsx(topCss.buttonKey, topCss.key)}>n</Key>
        </Button>
      </div>
    </header>
  );
}
