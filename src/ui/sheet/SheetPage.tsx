'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import type { Shop } from '@/core/job';
import { bowLine, type SheetDocument, type SheetSetting } from '@/core/sheet';
import { write, writeMoney } from '@/core/units';
import { Text } from '../pieces/Text';
import { plainDay, timeText } from '../fields/dates';
import { WithFractions } from '../fields/Figure';
import { handover, sheet as w } from '../words';
import { GridTable } from '../fields/GridTable';
import { Tag } from '../pieces/texts';
import paperPageCss from '../pieces/PaperPage.module.css';
import css from './SheetPage.module.css';

/** The sheet on the screen: the same facts, in the same order, as on paper. */
export function SheetPage({
  jobId,
  sheet,
  newest,
  shop,
}: {
  jobId: string;
  sheet: SheetDocument;
  newest: number;
  shop: Shop;
}) {
  const made = `${plainDay(sheet.madeDay, true)} ${timeText(sheet.madeAt, shop.timeZone)}`;
  const api = `/api/v1/jobs/${jobId}/sheets/${sheet.revision}`;
  return (
    <main className={paperPageCss.sheet} data-part="sheet">
      <nav className={paperPageCss.sheetTools}>
        <Link href={`/jobs/${jobId}/handover`}>{w.back}</Link>
        {newest > sheet.revision && <Tag>{w.newer(newest)}</Tag>}
        <span className={paperPageCss.sheetLinks}>
          <a href={`${api}/pdf?paper=A4`}>{handover.a4}</a>
          <a href={`${api}/pdf?paper=LETTER`}>{handover.letter}</a>
          <a href={api}>{handover.json}</a>
          <Button variant="outlined" onClick={() => window.print()}>
            {w.print}
          </Button>
        </span>
      </nav>
      <header>
        <div>
          <h1>{sheet.archer.name}</h1>
          <p>
            {w.title} · {sheet.bow?.name}
          </p>
        </div>
        <Text variant="figure" as="p" className={paperPageCss.sheetStamp}>
          {w.ticket(sheet.job.number)}
          <br />
          {w.revision(sheet.revision)}
          <br />
          {w.madeBy(sheet.madeBy, made)}
        </Text>
      </header>
      <Facts sheet={sheet} />
      <h2>{w.settings}</h2>
      <GridTable className={css.settings}>
        <TableHead>
          <TableRow>
            <TableCell>{w.value}</TableCell>
            <TableCell>{w.measured}</TableCell>
            <TableCell>{w.wanted}</TableCell>
            <TableCell />
            <TableCell>{w.by}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {sheet.settings.map((setting) => (
            <SettingRow key={setting.key} setting={setting} />
          ))}
        </TableBody>
      </GridTable>
      {sheet.marks && <MarksPart marks={sheet.marks} shop={shop} />}
      {sheet.balance && (
        <>
          <h2>{w.balance}</h2>
          <ul className={css.sheetCautions} data-part="sheet-balance">
            {sheet.balance.text.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </>
      )}
      <PartsTable sheet={sheet} />
      <OpenPart sheet={sheet} />
      <h2>{w.told}</h2>
      <ul className={css.sheetCautions}>
        {sheet.cautions.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
      <p className={css.comeBack}>
        <b>{w.comeBack(plainDay(sheet.comeBackDay, true))}</b>
      </p>
      <div className={paperPageCss.signatures}>
        <span>{sheet.archer.guardianName === null ? w.archer : w.guardianSigns}</span>
        <span>{w.shop}</span>
      </div>
    </main>
  );
}

function Facts({ sheet: { archer, bow, fit, shop } }: { sheet: SheetDocument }) {
  const rows: [string, string | null][] = [
    [
      w.archer,
      [
        `${archer.hand} hand`,
        `${archer.dominantEye} eye`,
        archer.guardianName === null ? null : w.guardian(archer.guardianName),
      ]
        .filter(Boolean)
        .join(', '),
    ],
    [w.bow, bow && bowLine(bow)],
    [w.overruled, bow && bow.overruled],
    ['', bow && (bow.maxTurns === null ? w.noLimit : w.limit(bow.maxTurns))],
    [w.drawLength, fit.drawLengthText],
    [w.startWeight, fit.startText],
    ...(fit.notes ?? []).map((note): [string, string] => ['', note]),
  ];
  return (
    <dl className={css.factsList}>
      {rows.map(([name, value], i) =>
        value === null ? null : (
          <div key={i}>
            <dt>{name}</dt>
            <dd>
              <WithFractions text={value} />
            </dd>
          </div>
        ),
      )}
      <div>
        <dt>{shop.name}</dt>
        <dd>{shop.address}</dd>
      </div>
    </dl>
  );
}

function SettingRow({ setting }: { setting: SheetSetting }) {
  const mark = setting.stale
    ? { kind: 'again', text: w.again }
    : setting.standing === 'out'
      ? { kind: 'out', text: w.out }
      : setting.standing === 'in'
        ? { kind: 'in', text: w.in }
        : null;
  return (
    <TableRow>
      <TableCell>{setting.name}</TableCell>
      <TableCell>
        <Text variant="figure">
          <WithFractions text={setting.text} />
        </Text>
      </TableCell>
      <TableCell>
        <Text soft as="span">
          <WithFractions text={setting.wanted ?? ''} />
        </Text>
      </TableCell>
      <TableCell>{mark && <Tag kind={mark.kind}>{mark.text}</Tag>}</TableCell>
      <TableCell>
        <Text soft as="span">
          {setting.who}
        </Text>
      </TableCell>
    </TableRow>
  );
}

function MarksPart({ marks, shop }: { marks: NonNullable<SheetDocument['marks']>; shop: Shop }) {
  const first = marks.rows[0]?.pinAboveArrowMm ?? 0;
  return (
    <>
      <h2>{w.marks}</h2>
      <ul className={css.sheetMarks}>
        {marks.rows.map((row) => (
          <li key={row.distanceM}>
            <b>{row.distanceText}</b>
            <Text variant="figure">{(first - row.pinAboveArrowMm).toFixed(1)} mm</Text>
          </li>
        ))}
      </ul>
      <Text soft>
        {w.restsOn} <WithFractions text={marks.basis.join('; ')} />.{' '}
        {marks.furthestClearM !== null &&
          w.clearTo(write(marks.furthestClearM, 'distance', shop.units, { decimals: 0 }))}
      </Text>
    </>
  );
}

function PartsTable({ sheet }: { sheet: SheetDocument }) {
  return (
    <>
      <h2>{w.parts}</h2>
      <GridTable>
        <TableBody>
          {sheet.bow && (
            <TableRow>
              <TableCell>{w.bow}</TableCell>
              <TableCell>{sheet.bow.name}</TableCell>
              <TableCell align="right">
                <Text variant="figure">{writeMoney(sheet.bowPriceCents)}</Text>
              </TableCell>
            </TableRow>
          )}
          {sheet.parts.map((part) => (
            <TableRow key={part.slot}>
              <TableCell>{part.name}</TableCell>
              <TableCell>{part.label}</TableCell>
              <TableCell align="right">
                <Text variant="figure">{part.owned ? w.own : writeMoney(part.priceCents)}</Text>
              </TableCell>
            </TableRow>
          ))}
          {sheet.work && sheet.work.cents > 0 && (
            <TableRow>
              <TableCell>{w.work}</TableCell>
              <TableCell>{w.minutes(sheet.work.minutes)}</TableCell>
              <TableCell align="right">
                <Text variant="figure">{writeMoney(sheet.work.cents)}</Text>
              </TableCell>
            </TableRow>
          )}
          <TableRow className={css.sum}>
            <TableCell>{w.total}</TableCell>
            <TableCell>
              {sheet.taxCents !== undefined && w.tax(sheet.taxPct!, writeMoney(sheet.taxCents))}
            </TableCell>
            <TableCell align="right">
              <Text variant="figure">{writeMoney(sheet.totalCents)}</Text>
            </TableCell>
          </TableRow>
        </TableBody>
      </GridTable>
    </>
  );
}

function OpenPart({ sheet: { exceptions, open, openReason } }: { sheet: SheetDocument }) {
  if (exceptions.length + open.length === 0) return null;
  return (
    <>
      <h2>{w.signed}</h2>
      <ul className={css.sheetCautions}>
        {exceptions.map((exception) => (
          <li key={exception.step}>
            <b>{exception.step}</b>: {exception.reason} ({exception.who})
          </li>
        ))}
        {open.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
      {openReason && (
        <p>
          {w.handedOver} <b>{openReason}</b>
        </p>
      )}
    </>
  );
}
