'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import type { Shop } from '@/core/job';
import { bowLine, type SheetDocument, type SheetSetting } from '@/core/sheet';
import { write, writeMoney } from '@/core/units';
import { plainDay, timeText } from '../fields/dates';
import { WithFractions } from '../fields/Figure';
import { handover, sheet as w } from '../words';
import { GridTable } from '../fields/GridTable';

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
    <main className="sheet">
      <nav className="sheet-tools">
        <Link href={`/jobs/${jobId}/handover`}>{w.back}</Link>
        {newest > sheet.revision && <span className="tag">{w.newer(newest)}</span>}
        <span className="sheet-links">
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
        <p className="figure sheet-stamp">
          {w.ticket(sheet.job.number)}
          <br />
          {w.revision(sheet.revision)}
          <br />
          {w.madeBy(sheet.madeBy, made)}
        </p>
      </header>
      <Facts sheet={sheet} />
      <h2>{w.settings}</h2>
      <GridTable>
        <thead>
          <tr>
            <th>{w.value}</th>
            <th>{w.measured}</th>
            <th>{w.wanted}</th>
            <th />
            <th>{w.by}</th>
          </tr>
        </thead>
        <tbody>
          {sheet.settings.map((setting) => (
            <SettingRow key={setting.key} setting={setting} />
          ))}
        </tbody>
      </GridTable>
      {sheet.marks && <MarksPart marks={sheet.marks} shop={shop} />}
      <PartsTable sheet={sheet} />
      <OpenPart sheet={sheet} />
      <h2>{w.told}</h2>
      <ul className="sheet-cautions">
        {sheet.cautions.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
      <p className="come-back">
        <b>{w.comeBack(plainDay(sheet.comeBackDay, true))}</b>
      </p>
      <div className="signatures">
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
    <dl className="facts-list">
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
    <tr>
      <td>{setting.name}</td>
      <td className="figure">
        <WithFractions text={setting.text} />
      </td>
      <td className="soft">
        <WithFractions text={setting.wanted ?? ''} />
      </td>
      <td>
        {mark && (
          <span className="tag" data-kind={mark.kind}>
            {mark.text}
          </span>
        )}
      </td>
      <td className="soft">{setting.who}</td>
    </tr>
  );
}

function MarksPart({ marks, shop }: { marks: NonNullable<SheetDocument['marks']>; shop: Shop }) {
  const first = marks.rows[0]?.pinAboveArrowMm ?? 0;
  return (
    <>
      <h2>{w.marks}</h2>
      <ul className="sheet-marks">
        {marks.rows.map((row) => (
          <li key={row.distanceM}>
            <b>{row.distanceText}</b>
            <span className="figure">{(first - row.pinAboveArrowMm).toFixed(1)} mm</span>
          </li>
        ))}
      </ul>
      <p className="soft">
        {w.restsOn} <WithFractions text={marks.basis.join('; ')} />.{' '}
        {marks.furthestClearM !== null &&
          w.clearTo(write(marks.furthestClearM, 'distance', shop.units, { decimals: 0 }))}
      </p>
    </>
  );
}

function PartsTable({ sheet }: { sheet: SheetDocument }) {
  return (
    <>
      <h2>{w.parts}</h2>
      <GridTable>
        <tbody>
          {sheet.bow && (
            <tr>
              <td>{w.bow}</td>
              <td>{sheet.bow.name}</td>
              <td className="figure right">{writeMoney(sheet.bowPriceCents)}</td>
            </tr>
          )}
          {sheet.parts.map((part) => (
            <tr key={part.slot}>
              <td>{part.name}</td>
              <td>{part.label}</td>
              <td className="figure right">{part.owned ? w.own : writeMoney(part.priceCents)}</td>
            </tr>
          ))}
          {sheet.work && sheet.work.cents > 0 && (
            <tr>
              <td>{w.work}</td>
              <td>{w.minutes(sheet.work.minutes)}</td>
              <td className="figure right">{writeMoney(sheet.work.cents)}</td>
            </tr>
          )}
          <tr className="total">
            <td>{w.total}</td>
            <td>
              {sheet.taxCents !== undefined && w.tax(sheet.taxPct!, writeMoney(sheet.taxCents))}
            </td>
            <td className="figure right">{writeMoney(sheet.totalCents)}</td>
          </tr>
        </tbody>
      </GridTable>
    </>
  );
}

function OpenPart({ sheet: { exceptions, open, openReason } }: { sheet: SheetDocument }) {
  if (exceptions.length + open.length === 0) return null;
  return (
    <>
      <h2>{w.signed}</h2>
      <ul className="sheet-cautions">
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
