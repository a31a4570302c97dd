import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import TableFooter from '@mui/material/TableFooter';
import { quoteParts, type Quote, type QuoteLine, type QuoteWork } from '@/core/quote';
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
  const { goods, work } = quoteParts(quote);
  return (
    <GridTable className={css.quoteTable} data-part="quote-table">
      <TableHead>
        <TableRow>
          <TableCell colSpan={2}>{w.heads[0]}</TableCell>
          <TableCell align="right">{w.heads[1]}</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {goods.map((line, i) => (
          <GoodsRow key={i} line={line} />
        ))}
        {work.steps.length > 0 && <WorkRows work={work} whole={whole} />}
      </TableBody>
      <Sums quote={quote} />
    </GridTable>
  );
}

/** One bow, part or moved part with what it costs. */
function GoodsRow({ line }: { line: QuoteLine }) {
  return (
    <TableRow>
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
        <Text variant="figure">{line.kind === 'moved' ? w.moved : writeMoney(line.cents)}</Text>
      </TableCell>
    </TableRow>
  );
}

/** The work in one line, its steps below it. */
function WorkRows({ work: { steps, minutes, cents }, whole }: { work: QuoteWork; whole: boolean }) {
  return (
    <>
      <TableRow>
        <TableCell>
          <Text soft as="span">
            {w.steps(steps.length)}
          </Text>
        </TableCell>
        <TableCell>
          {whole ? (
            w.labour(minutes)
          ) : (
            <More title={w.labour(minutes)}>
              <Text variant="small" as="ul" className={css.quoteSteps}>
                {steps.map(({ name, minutes: each, cents: costs }) => (
                  <li key={name}>
                    <span>{name}</span>
                    <Text variant="figure">{each}′</Text>
                    <Text variant="figure">{writeMoney(costs)}</Text>
                  </li>
                ))}
              </Text>
            </More>
          )}
        </TableCell>
        <TableCell align="right">
          <Text variant="figure">{writeMoney(cents)}</Text>
        </TableCell>
      </TableRow>
      {whole && (
        <TableRow>
          <TableCell colSpan={3}>
            <Text variant="small" soft as="ul" className={css.quoteStepsWhole}>
              {steps.map(({ name, minutes: each }) => (
                <li key={name}>
                  <span>{name}</span>
                  <Text variant="figure">{each}′</Text>
                </li>
              ))}
            </Text>
          </TableCell>
        </TableRow>
      )}
    </>
  );
}

/** The total, the tax in it, and what is paid first. */
function Sums({ quote }: { quote: Quote }) {
  return (
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
  );
}
