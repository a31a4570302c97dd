'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import type { SheetBlock } from '@/core/sheet';
import { Text } from '../pieces/Text';
import paperPageCss from '../pieces/PaperPage.module.css';
import { handover, sheet as s } from '../words';
import { SheetBlocks } from './SheetBlocks';

/** Tables of a job as they go on paper, under its archer's name. */
export function BlockPaper({
  back,
  api,
  archer,
  title,
  stamp,
  head,
  lead,
  blocks,
}: {
  back: { readonly href: string; readonly text: string };
  /** Address of the same as PDF. */
  api: string;
  archer: string;
  title: string;
  /** To the right of the name, line by line. */
  stamp: readonly string[];
  head: string;
  lead?: string;
  blocks: readonly SheetBlock[];
}) {
  return (
    <main className={paperPageCss.sheet} data-part="block-paper">
      <nav className={paperPageCss.sheetTools}>
        <Link href={back.href}>{back.text}</Link>
        <span className={paperPageCss.sheetLinks}>
          <a href={`${api}?paper=A4`}>{handover.a4}</a>
          <a href={`${api}?paper=LETTER`}>{handover.letter}</a>
          <Button variant="outlined" onClick={() => window.print()}>
            {s.print}
          </Button>
        </span>
      </nav>
      <header>
        <div>
          <h1>{archer}</h1>
          <p>{title}</p>
        </div>
        <Text variant="figure" as="p" className={paperPageCss.sheetStamp}>
          {stamp.map((line) => (
            <span key={line}>
              {line}
              <br />
            </span>
          ))}
        </Text>
      </header>
      <h2>{head}</h2>
      {lead && <p>{lead}</p>}
      <SheetBlocks blocks={blocks} photosAt="" />
    </main>
  );
}
