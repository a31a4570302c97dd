'use client';
import Link from 'next/link';
import {
  CARD_SIZES,
  cardFaces,
  codeText,
  type CardFace,
  type CardSize,
  type CodeMatrix,
  type SheetDocument,
} from '@/core/sheet';
import { PaperItems } from '../drawings/PaperItems';
import { Text } from '../pieces/Text';
import { Note } from '../pieces/texts';
import paperPageCss from '../pieces/PaperPage.module.css';
import { cards as w, handover } from '../words';
import css from './CardsPage.module.css';

/** Cards of a sheet for pocket and case, as they are printed, and the text their code holds. */
export function CardsPage({
  jobId,
  sheet,
  code,
}: {
  jobId: string;
  sheet: SheetDocument;
  code: CodeMatrix | null;
}) {
  const api = `/api/v1/jobs/${jobId}/sheets/${sheet.revision}`;
  const text = codeText(sheet);
  return (
    <main className={paperPageCss.sheet} data-part="cards">
      <nav className={paperPageCss.sheetTools}>
        <Link href={`/jobs/${jobId}/sheet/${sheet.revision}`}>{w.back}</Link>
      </nav>
      <header>
        <div>
          <h1>{sheet.archer.name}</h1>
          <p>{w.lead(sheet.revision)}</p>
        </div>
      </header>
      {!sheet.marks && <Note>{w.noMarks}</Note>}
      {(['field', 'case'] as const).map((size) => (
        <OneCard key={size} size={size} sheet={sheet} code={code} api={api} />
      ))}
      {text !== null && (
        <section className={css.code} data-part="code-text">
          <h2>{w.codeTitle}</h2>
          <Text soft>{w.codeHow}</Text>
          <Text variant="figure" as="pre">
            {text}
          </Text>
          <span className={paperPageCss.sheetLinks}>
            <a href={`${api}/code?format=svg`}>{w.codeSvg}</a>
            <a href={`${api}/code?format=text`}>{w.codeAsText}</a>
            <Link href="/code">{w.readBack}</Link>
          </span>
        </section>
      )}
    </main>
  );
}

function OneCard({
  size,
  sheet,
  code,
  api,
}: {
  size: CardSize;
  sheet: SheetDocument;
  code: CodeMatrix | null;
  api: string;
}) {
  const { name, widthMm, heightMm } = CARD_SIZES[size];
  const { front, back } = cardFaces(sheet, size, code);
  const file = `${api}/card?size=${size}`;
  return (
    <section className={css.card} data-part={`card-${size}`}>
      <h2>
        {name}{' '}
        <Text soft as="span">
          {w.size(widthMm, heightMm)}
        </Text>
      </h2>
      <span className={paperPageCss.sheetLinks}>
        <a href={`${file}&paper=A4`}>{handover.a4}</a>
        <a href={`${file}&paper=LETTER`}>{handover.letter}</a>
        <a href={`${file}&format=svg`}>{w.svg}</a>
      </span>
      <div className={css.faces} data-size={size}>
        <Face face={front} label={w.front(name)} />
        <Face face={back} label={w.behind(name)} />
      </div>
    </section>
  );
}

const Face = ({ face, label }: { face: CardFace; label: string }) => (
  <svg
    className={css.face}
    // Paper is white and its print dark, whatever the room is like.
    data-scheme="light"
    viewBox={`0 0 ${face.widthMm} ${face.heightMm}`}
    role="img"
    aria-label={label}
  >
    <rect width={face.widthMm} height={face.heightMm} fill="#fff" />
    <PaperItems items={face.items} />
  </svg>
);
