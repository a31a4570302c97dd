'use client';
import clsx from 'clsx';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import type { SheetBlock } from '@/core/sheet';
import { WithFractions } from '../fields/Figure';
import { GridTable } from '../fields/GridTable';
import { Picture } from '../pieces/Picture';
import { Text } from '../pieces/Text';
import css from './SheetBlocks.module.css';

/** Tables of the sheet one under another, each with its heading. */
export const SheetBlocks = ({
  blocks,
  photosAt,
}: {
  blocks: readonly SheetBlock[];
  /** Address the pictures of the job stand under. */
  photosAt: string;
}) => blocks.map((block) => <OneBlock key={block.id} block={block} photosAt={photosAt} />);

export function OneBlock({ block, photosAt = '' }: { block: SheetBlock; photosAt?: string }) {
  return (
    <section data-part={`sheet-${block.id}`}>
      <h3 className={css.title}>
        <WithFractions text={block.title} />
      </h3>
      {block.rows.length > 0 && (
        <GridTable className={clsx(css.table, block.id === 'record' && css.fine)}>
          <colgroup>
            {block.parts.map((part, i) => (
              <col key={i} style={{ width: `${part * 100}%` }} />
            ))}
          </colgroup>
          <TableBody>
            {block.rows.map((row, i) => (
              <TableRow key={i}>
                {row.map((cell, n) => (
                  <TableCell key={n} {...(cell.right ? { align: 'right' as const } : {})}>
                    <Cell cell={cell} />
                  </TableCell>
                ))}
              </TableRow>
            ))}
          </TableBody>
        </GridTable>
      )}
      {block.papers && <Papers papers={block.papers} />}
      {block.photos && (
        <ul className={css.photos}>
          {block.photos.map(({ id, text, width, height }) => (
            <li key={id}>
              <Picture src={`${photosAt}/${id}`} width={width} height={height} alt={text} />
              {text}
            </li>
          ))}
        </ul>
      )}
      {block.note && <p className={css.note}>{block.note}</p>}
    </section>
  );
}

function Cell({ cell }: { cell: SheetBlock['rows'][number][number] }) {
  const text = <WithFractions text={cell.text} />;
  if (cell.as === 'figure') return <Text variant="figure">{text}</Text>;
  if (cell.as === 'strong') return <b>{text}</b>;
  return cell.as === 'soft' ? (
    <Text soft as="span">
      {text}
    </Text>
  ) : (
    text
  );
}

/** Half a paper's side, mm of tear. */
const HALF_MM = 24;
const inside = (mm: number) => Math.max(-HALF_MM + 3, Math.min(HALF_MM - 3, mm));

/** Papers in their order, small: the cross is where the point went, the ring the nock. */
const Papers = ({ papers }: { papers: NonNullable<SheetBlock['papers']> }) => (
  <ol className={css.papers}>
    {papers.map(({ rightMm, upMm, text, moved }, i) => {
      const [x, y] = [inside(rightMm), -inside(upMm)];
      return (
        <li key={i}>
          <svg
            viewBox={`${-HALF_MM} ${-HALF_MM} ${2 * HALF_MM} ${2 * HALF_MM}`}
            role="img"
            aria-label={text}
          >
            <rect
              x={-HALF_MM + 0.5}
              y={-HALF_MM + 0.5}
              width={2 * HALF_MM - 1}
              height={2 * HALF_MM - 1}
              fill="none"
              stroke="var(--ink)"
              strokeWidth={0.6}
            />
            <path d="M-3 0H3M0 -3V3" stroke="var(--ink)" strokeWidth={0.7} />
            <path d={`M0 0L${x} ${y}`} stroke="var(--ink)" strokeWidth={1.6} />
            <circle cx={x} cy={y} r={2.6} fill="none" stroke="var(--ink)" strokeWidth={0.9} />
          </svg>
          {moved && <b>{moved}</b>}
          <span>{text}</span>
        </li>
      );
    })}
  </ol>
);
