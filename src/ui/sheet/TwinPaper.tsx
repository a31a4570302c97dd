'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import type { TwinPage } from '@/core/twin';
import { Text } from '../pieces/Text';
import paperPageCss from '../pieces/PaperPage.module.css';
import { handover, like as w, sheet as s } from '../words';
import { SheetBlocks } from './SheetBlocks';

/** Both bows on one page, as it goes on paper. */
export function TwinPaper({
  jobId,
  archer,
  shop,
  page,
}: {
  jobId: string;
  archer: string;
  shop: string;
  page: TwinPage;
}) {
  const api = `/api/v1/jobs/${jobId}/like`;
  return (
    <main className={paperPageCss.sheet} data-part="twin">
      <nav className={paperPageCss.sheetTools}>
        <Link href={`/jobs/${jobId}/bow?part=like`}>{w.back}</Link>
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
          <p>{page.title}</p>
        </div>
        <Text variant="figure" as="p" className={paperPageCss.sheetStamp}>
          {page.count}
          <br />
          {shop}
        </Text>
      </header>
      <h2>{page.bows[0]}</h2>
      <p>{w.besideBow(page.bows[1])}</p>
      <SheetBlocks blocks={page.blocks} photosAt="" />
    </main>
  );
}
