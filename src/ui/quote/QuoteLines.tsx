import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import TableFooter from '@mui/material/TableFooter';
import type { Quote, QuoteLine } from '@/core/quote';
import { writeMoney } from '@/core/units';
import { Text } from '../pieces/Text';
import { plainDay } from '../fields/dates';
import { quoteWords as w } from '../words';
import { GridTable } from '../fields/GridTable';
import { More } from '../pieces/More';
import css from './QuoteLines.module.css';

/** A quote's lines: bow and parts one by one, the work in one line with its steps below. */
export function QuoteLines({
  quote,
  whole = false,
}: {
  quote: Quote;
  /** On paper nothing can be opened: the steps stand there. */
  whole?: boolean;
}) {
  const goods = quote.lines.filter(({ kind }) => kind !== 'labour');
  const work = quote.lines.filter(({ kind }) => kind === 'labour');
  const total = (lines: readonly QuoteLine[]) => lines.reduce((sum, { cents }) => sum + cents, 0);
  const minutes = work.reduce((sum, line) => sum + (line.minutes ?? 0), 0);
  return (
    <GridTable className={css.quoteTable} data-part="quote-table">
      <TableHead>
        <TableRow>
          <TableCell colSpan={2}>{w.heads[0]}</TableCell>
          <TableCell align="right">{w.heads[1]}</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {goods.map((line) => (
          <TableRow key={line.about}>
            <TableCell>
              <Text soft as="span">
                {line.about}
              </Text>
            </TableCell>
            <TableCell>
              {line.name}
              {line.arrivesDay && (
                <Text variant="small" soft className={css.quoteNote}>
                  {w.arrives(plainDay(line.arrivesDay))}
                </Text>
              )}
              {line.usualCents !== null && (
                <Text variant="small" soft className={css.quoteNote}>
                  {w.usually(writeMoney(line.usualCents))}
                </Text>
              )}
            </TableCell>
            <TableCell align="right">
              <Text variant="figure">
                {line.kind === 'moved' ? w.moved : writeMoney(line.cents)}
              </Text>
            </TableCell>
          </TableRow>
        ))}
        {work.length > 0 && (
          <TableRow>
            <TableCell>
              <Text soft as="span">
                {w.steps(work.length)}
              </Text>
            </TableCell>
            <TableCell>
              {whole ? (
                w.labour(minutes)
              ) : (
                <More title={w.labour(minutes)}>
                  <Text variant="small" as="ul" className={css.quoteSteps}>
                    {work.map(({ name, minutes: each, cents }) => (
                      <li key={name}>
                        <span>{name}</span>
                        <Text variant="figure">{each}′</Text>
                        <Text variant="figure">{writeMoney(cents)}</Text>
                      </li>
                    ))}
                  </Text>
                </More>
              )}
            </TableCell>
            <TableCell align="right">
              <Text variant="figure">{writeMoney(total(work))}</Text>
            </TableCell>
          </TableRow>
        )}
        {whole && work.length > 0 && (
          <TableRow>
            <TableCell colSpan={3}>
              <Text variant="small" soft as="ul" className={css.quoteStepsWhole}>
                {work.map(({ name, minutes: each }) => (
                  <li key={name}>
                    <span>{name}</span>
                    <Text variant="figure">{each}′</Text>
                  </li>
                ))}
              </Text>
            </TableCell>
          </TableRow>
        )}
      </TableBody>
      <TableFooter>
        <TableRow className={css.total}>
          <TableCell />
          <TableCell>{w.total}</TableCell>
          <TableCell align="right">
            <Text variant="figure">{writeMoney(quote.totalCents)}</Text>
          </TableCell>
        </TableRow>
        <TableRow>
          <TableCell />
          <TableCell>
            <Text soft as="span">
              {w.tax(quote.taxPct)}
            </Text>
          </TableCell>
          <TableCell align="right">
            <Text variant="figure" soft>
              {writeMoney(quote.taxCents)}
            </Text>
          </TableCell>
        </TableRow>
        <TableRow>
          <TableCell />
          <TableCell>{w.deposit(quote.depositPct)}</TableCell>
          <TableCell align="right">
            <Text variant="figure">{writeMoney(quote.depositCents)}</Text>
          </TableCell>
        </TableRow>
      </TableFooter>
    </GridTable>
  );
}
