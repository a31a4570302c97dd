'use client';
import clsx from 'clsx';
import type { SheetDocument, SheetLine, SheetPages } from '@/core/sheet';
import { SheetBow } from '../drawings/SheetBow';
import { WithFractions } from '../fields/Figure';
import { Text } from '../pieces/Text';
import { Tag } from '../pieces/texts';
import { sheet as w } from '../words';
import { OneBlock } from './SheetBlocks';
import css from './SheetOne.module.css';

/** Page one: the bow with its numbers, how each is measured, marks, arrow, keys. */
export function SheetOne({ sheet, one }: { sheet: SheetDocument; one: SheetPages['one'] }) {
  return (
    <section className={css.one} data-part="sheet-one">
      <h2>{w.pageOne}</h2>
      <ul className={css.facts}>
        {one.facts.map((fact) => (
          <li key={fact}>
            <WithFractions text={fact} />
          </li>
        ))}
      </ul>
      {one.since && <p className={css.since}>{one.since}</p>}
      <div className={css.drawn}>
        <figure>
          <SheetBow sheet={sheet} label={w.drawing(sheet.bow?.name ?? '')} />
        </figure>
      </div>
      <div className={css.beside}>
        {one.marks && (
          <div>
            <OneBlock block={one.marks} />
          </div>
        )}
        {one.arrow && <OneBlock block={one.arrow} />}
      </div>
      <div className={css.groups}>
        {one.groups.map(({ title, lines }) => (
          <section key={title} className={css.group}>
            <h3>{title}</h3>
            <ul>
              {lines.map((line) => (
                <Line key={line.key} line={line} />
              ))}
            </ul>
          </section>
        ))}
        {one.keys && <OneBlock block={one.keys} />}
      </div>
    </section>
  );
}

function Line({ line }: { line: SheetLine }) {
  const { name, text, under, was, mark } = line;
  return (
    <li className={clsx(css.line, was !== null && css.changed)} data-key={line.key}>
      <span>
        {name} {mark && <Tag kind={mark}>{mark === 'out' ? w.out : w.again}</Tag>}
      </span>
      <Text variant="figure" className={css.value}>
        <WithFractions text={text} />
      </Text>
      {(under || was !== null) && (
        <Text soft as="span" className={css.under}>
          <WithFractions text={under} />
          {was !== null && (
            <>
              {under && ' · '}
              <b className={css.was}>
                <WithFractions text={w.was(was)} />
              </b>
            </>
          )}
        </Text>
      )}
    </li>
  );
}
