import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import Typography from '@mui/material/Typography';
import TableFooter from '@mui/material/TableFooter';
import type { Quote, QuoteLine } from '@/core/quote';
import { writeMoney } from '@/core/units';
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
              <Typography color="textSecondary" component="span">
                {line.about}
              </Typography>
            </TableCell>
            <TableCell>
              {line.name}
              {line.arrivesDay && (
                <Typography variant="small" color="textSecondary" className={css.quoteNote}>
                  {w.arrives(plainDay(line.arrivesDay))}
                </Typography>
              )}
              {line.usualCents !== null && (
                <Typography variant="small" color="textSecondary" className={css.quoteNote}>
                  {w.usually(writeMoney(line.usualCents))}
                </Typography>
              )}
            </TableCell>
            <TableCell align="right">
              <Typography variant="figure">
                {line.kind === 'moved' ? w.moved : writeMoney(line.cents)}
              </Typography>
            </TableCell>
          </TableRow>
        ))}
        {work.length > 0 && (
          <TableRow>
            <TableCell>
              <Typography color="textSecondary" component="span">
                {w.steps(work.length)}
              </Typography>
            </TableCell>
            <TableCell>
              {whole ? (
                w.labour(minutes)
              ) : (
                <More title={w.labour(minutes)}>
                  <Typography variant="small" component="ul" className={css.quoteSteps}>
                    {work.map(({ name, minutes: each, cents }) => (
                      <li key={name}>
                        <span>{name}</span>
                        <Typography variant="figure">{each}′</Typography>
                        <Typography variant="figure">{writeMoney(cents)}</Typography>
                      </li>
                    ))}
                  </Typography>
                </More>
              )}
            </TableCell>
            <TableCell align="right">
              <Typography variant="figure">{writeMoney(total(work))}</Typography>
            </TableCell>
          </TableRow>
        )}
        {whole && work.length > 0 && (
          <TableRow>
            <TableCell colSpan={3}>
              <Typography
                variant="small"
                color="textSecondary"
                component="ul"
                className={css.quoteStepsWhole}
              >
                {work.map(({ name, minutes: each }) => (
                  <li key={name}>
                    <span>{name}</span>
                    <Typography variant="figure">{each}′</Typography>
                  </li>
                ))}
              </Typography>
            </TableCell>
          </TableRow>
        )}
      </TableBody>
      <TableFooter>
        <TableRow className={css.total}>
          <TableCell />
          <TableCell>{w.total}</TableCell>
          <TableCell align="right">
            <Typography variant="figure">{writeMoney(quote.totalCents)}</Typography>
          </TableCell>
        </TableRow>
        <TableRow>
          <TableCell />
          <TableCell>
            <Typography color="textSecondary" component="span">
              {w.tax(quote.taxPct)}
            </Typography>
          </TableCell>
          <TableCell align="right">
            <Typography variant="figure" color="textSecondary">
              {writeMoney(quote.taxCents)}
            </Typography>
          </TableCell>
        </TableRow>
        <TableRow>
          <TableCell />
          <TableCell>{w.deposit(quote.depositPct)}</TableCell>
          <TableCell align="right">
            <Typography variant="figure">{writeMoney(quote.depositCents)}</Typography>
          </TableCell>
        </TableRow>
      </TableFooter>
    </GridTable>
  );
}
