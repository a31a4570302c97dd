import type { ReactNode } from 'react';
import Link from 'next/link';
import { shopWords } from '../words';
import { Brand } from './Brand';

/** A whole page that says one thing and shows the way back. */
export function Notice({
  title,
  text,
  children,
}: {
  title: string;
  text: string;
  children?: ReactNode;
}) {
  return (
    <>
      <header className="top">
        <Brand />
      </header>
      <main className="notice">
        <h1>{title}</h1>
        <p>{text}</p>
        <div className="actions">
          {children}
          <Link href="/">{shopWords.back}</Link>
        </div>
      </main>
    </>
  );
}
