import type { ReactNode } from 'react';
import Link from 'next/link';
import { shopWords } from '../words';
import { Actions } from '../pieces/layout';
import { Brand } from './Brand';
import topCss from './Top.module.css';
import css from './Notice.module.css';

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
      <header className={topCss.top} data-part="top">
        <Brand />
      </header>
      <main className={css.notice}>
        <h1>{title}</h1>
        <p>{text}</p>
        <Actions>
          {children}
          <Link href="/">{shopWords.back}</Link>
        </Actions>
      </main>
    </>
  );
}
