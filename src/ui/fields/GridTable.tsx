'use client';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import Table from '@mui/material/Table';
import { fields } from '../words';
import css from './GridTable.module.css';

/** A table that scrolls by itself where it is wider than its place, and then takes the keys too. */
export function GridTable({
  children,
  ...rest
}: {
  className?: string | undefined;
  'data-part'?: string;
  children: ReactNode;
}) {
  const box = useRef<HTMLDivElement>(null);
  const [scrolls, setScrolls] = useState(false);
  useEffect(() => {
    const place = box.current!;
    const look = () => setScrolls(place.scrollWidth > place.clientWidth + 1);
    look();
    if (typeof ResizeObserver === 'undefined') return;
    const watcher = new ResizeObserver(look);
    watcher.observe(place);
    return () => watcher.disconnect();
  }, []);
  return (
    <div
      ref={box}
      className={css.tableScroll}
      {...(scrolls ? { tabIndex: 0, role: 'region', 'aria-label': fields.wideTable } : {})}
    >
      <Table {...rest}>{children}</Table>
    </div>
  );
}
