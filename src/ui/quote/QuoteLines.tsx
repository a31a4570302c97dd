import type { Quote, QuoteLine } from '@/core/quote';
import { writeMoney } from '@/core/units';
import { plainDay } from '../fields/dates';
import { quoteWords as w } from '../words';
import { GridTable } from '../fields/GridTable';

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
    <GridTable className="quote-table">
      <thead>
        <tr>
          <th colSpan={2}>{w.heads[0]}</th>
          <th className="right">{w.heads[1]}</th>
        </tr>
      </thead>
      <tbody>
        {goods.map((line) => (
          <tr key={line.about}>
            <td className="soft">{line.about}</td>
            <td>
              {line.name}
              {line.arrivesDay && (
                <span className="small soft quote-note">
                  {w.arrives(plainDay(line.arrivesDay))}
                </span>
              )}
              {line.usualCents !== null && (
                <span className="small soft quote-note">
                  {w.usually(writeMoney(line.usualCents))}
                </span>
              )}
            </td>
            <td className="figure right">
              {line.kind === 'moved' ? w.moved : writeMoney(line.cents)}
            </td>
          </tr>
        ))}
        {work.length > 0 && (
          <tr>
            <td className="soft">{w.steps(work.length)}</td>
            <td>
              {whole ? (
                w.labour(minutes)
              ) : (
                <details>
                  <summary>{w.labour(minutes)}</summary>
                  <ul className="quote-steps small">
                    {work.map(({ name, minutes: each, cents }) => (
                      <li key={name}>
                        <span>{name}</span>
                        <span className="figure">{each}′</span>
                        <span className="figure">{writeMoney(cents)}</span>
                      </li>
                    ))}
                  </ul>
                </details>
              )}
            </td>
            <td className="figure right">{writeMoney(total(work))}</td>
          </tr>
        )}
        {whole && work.length > 0 && (
          <tr>
            <td colSpan={3}>
              <ul className="quote-steps-whole small soft">
                {work.map(({ name, minutes: each }) => (
                  <li key={name}>
                    <span>{name}</span>
                    <span className="figure">{each}′</span>
                  </li>
                ))}
              </ul>
            </td>
          </tr>
        )}
      </tbody>
      <tfoot>
        <tr className="total">
          <td />
          <td>{w.total}</td>
          <td className="figure right">{writeMoney(quote.totalCents)}</td>
        </tr>
        <tr>
          <td />
          <td className="soft">{w.tax(quote.taxPct)}</td>
          <td className="figure right soft">{writeMoney(quote.taxCents)}</td>
        </tr>
        <tr>
          <td />
          <td>{w.deposit(quote.depositPct)}</td>
          <td className="figure right">{writeMoney(quote.depositCents)}</td>
        </tr>
      </tfoot>
    </GridTable>
  );
}
