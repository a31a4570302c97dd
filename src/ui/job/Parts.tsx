'use client';
import type { ReactNode } from 'react';
import Link from 'next/link';
import css from './Parts.module.css';

interface Part {
  readonly id: string;
  readonly name: string;
  readonly href: string;
  readonly value: ReactNode;
}

/** The parts of a stage with their results; the one worked on is large, the others a tap away. */
export function Parts({
  parts,
  current,
  aside,
  many = false,
}: {
  parts: readonly Part[];
  current: string;
  /** A word on the result, at the end of the line. */
  aside?: ReactNode;
  /** More than four: set closer, in smaller type. */
  many?: boolean;
}) {
  return (
    <nav className={css.parts} data-part="parts" data-many={many ? 'yes' : undefined}>
      {parts.map(({ id, name, href, value }) => (
        <Link
          key={id}
          href={href}
          scroll={false}
          prefetch={false}
          aria-current={id === current ? 'true' : undefined}
        >
          {id === current ? <h2>{name}</h2> : <span className={css.partName}>{name}</span>}
          <span className={css.partValue}>{value}</span>
        </Link>
      ))}
      {aside && (
        <span className={css.partsAside} data-part="parts-aside">
          {aside}
        </span>
      )}
    </nav>
  );
}
