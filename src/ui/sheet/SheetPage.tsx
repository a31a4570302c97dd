'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { comeBackLine, sheetPages, type SheetDocument } from '@/core/sheet';
import { spokenInstant } from '@/core/units';
import { plainDay, timeText } from '../fields/dates';
import { Text } from '../pieces/Text';
import { Tag } from '../pieces/texts';
import paperPageCss from '../pieces/PaperPage.module.css';
import { handover, sheet as w } from '../words';
import { SheetBlocks } from './SheetBlocks';
import { SheetOne } from './SheetOne';
import css from './SheetPage.module.css';

/** The sheet on the screen: the same three pages as on paper, drawn from the same tables. */
export function SheetPage({
  jobId,
  sheet,
  newest,
  timeZone,
  prices,
}: {
  jobId: string;
  sheet: SheetDocument;
  newest: number;
  timeZone: string;
  prices: boolean;
}) {
  const made = `${plainDay(sheet.madeDay, true)} ${timeText(sheet.madeAt, timeZone)}`;
  const pages = sheetPages(sheet, { prices, when: (at) => spokenInstant(at, timeZone) });
  return (
    <main className={paperPageCss.sheet} data-part="sheet">
      <Tools jobId={jobId} revision={sheet.revision} newest={newest} prices={prices} />
      <header>
        <div>
          <h1>{sheet.archer.name}</h1>
          <p>
            {w.title} · {sheet.bow?.name}
          </p>
        </div>
        <Text variant="figure" as="p" className={paperPageCss.sheetStamp}>
          {w.ticket(sheet.job.number)}, {w.revision(sheet.revision)}
          <br />
          {w.madeBy(sheet.madeBy, made)}
          <br />
          {[sheet.shop.name, sheet.shop.address].filter(Boolean).join(', ')}
          <br />
          {sheet.shop.phone}
        </Text>
      </header>
      <SheetOne sheet={sheet} one={pages.one} />
      <section className={css.page} data-part="sheet-two">
        <h2>{w.pageTwo}</h2>
        <SheetBlocks blocks={pages.two} photosAt={`/api/v1/jobs/${jobId}/photos`} />
      </section>
      <section className={css.page} data-part="sheet-three">
        <h2>{w.pageThree}</h2>
        <SheetBlocks blocks={pages.three} photosAt="" />
        <p className={css.comeBack}>
          <b>{comeBackLine(sheet)}</b>
        </p>
      </section>
      <div className={paperPageCss.signatures}>
        <span>{sheet.archer.guardianName === null ? w.archer : w.guardianSigns}</span>
        <span>{w.shop}</span>
      </div>
    </main>
  );
}

function Tools({
  jobId,
  revision,
  newest,
  prices,
}: {
  jobId: string;
  revision: number;
  newest: number;
  prices: boolean;
}) {
  const page = `/jobs/${jobId}/sheet/${revision}`;
  const api = `/api/v1/jobs/${jobId}/sheets/${revision}`;
  const pdf = (paper: string) => `${api}/pdf?paper=${paper}${prices ? '' : '&prices=no'}`;
  return (
    <nav className={paperPageCss.sheetTools}>
      <Link href={`/jobs/${jobId}/handover`}>{w.back}</Link>
      {newest > revision && <Tag>{w.newer(newest)}</Tag>}
      <span className={paperPageCss.sheetLinks}>
        {revision > 1 && (
          <Link href={`/jobs/${jobId}/sheet/compare?from=${revision - 1}&to=${revision}`}>
            {w.beside(revision - 1)}
          </Link>
        )}
        <Link href={`${page}/cards`}>{handover.cards}</Link>
        <Link href={prices ? `${page}?prices=no` : page} replace>
          {prices ? w.withoutPrices : w.withPrices}
        </Link>
        <a href={pdf('A4')}>{handover.a4}</a>
        <a href={pdf('LETTER')}>{handover.letter}</a>
        <a href={api}>{handover.json}</a>
        <Button variant="outlined" onClick={() => window.print()}>
          {w.print}
        </Button>
      </span>
    </nav>
  );
}
