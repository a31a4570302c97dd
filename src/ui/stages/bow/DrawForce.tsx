'use client';
import { useState } from 'react';
import NativeSelect from '@mui/material/NativeSelect';
import {
  bowName,
  curveFacts,
  forceCurvePoints,
  speedSensitivity,
  type BowRecord,
  type CurveFacts,
  type CurvePoint,
  type LoggedCurve,
} from '@/core/bow';
import { drawOffSetup, RATING_SPEED_SIGMA, speedInput } from '@/core/job';
import {
  MM_PER_INCH,
  N_PER_POUND,
  perWeight,
  spoken,
  figureText,
  mm,
  newton,
  write,
  writeParts,
} from '@/core/units';
import { DrawForceChart, type ForceLine } from '../../charts/DrawForceChart';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { bow as w } from '../../words';
import { BowParts } from './BowParts';
import { LogCurve } from './LogCurve';
import { useDrawBoard } from './useDrawBoard';
import { GridTable } from '../../fields/GridTable';

/** How the weight runs over the draw, what is stored, how fast the arrow, and what changes it. */
export function DrawForce({
  bow,
  bows,
  curves,
}: {
  bow: BowRecord;
  bows: readonly BowRecord[];
  curves: readonly LoggedCurve[];
}) {
  const { snapshot } = useJob();
  const { board, start, clear } = useDrawBoard(snapshot.job.id);
  const [otherId, setOther] = useState('');
  const lines = useLines(bow, bows.find(({ id }) => id === otherId) ?? null, curves, board.points);
  const columns = lines.flatMap(({ name, points }) => {
    const facts = curveFacts(points);
    return facts.ok ? [{ name, facts }] : [];
  });
  return (
    <>
      <main className="work">
        <BowParts current="force" />
        {lines.length === 0 ? (
          <p className="note">{w.curveMissing}</p>
        ) : (
          <DrawForceChart lines={lines} shop={snapshot.shop.units}>
            <label className="overlay">
              <span className="soft">{w.overlay}</span>
              <NativeSelect
                value={otherId}
                inputProps={{ 'aria-label': w.overlay }}
                onChange={(event) => setOther(event.target.value)}
              >
                <option value="">{w.overlayNone}</option>
                {bows
                  .filter(({ id, hand }) => id !== bow.id && hand === bow.hand)
                  .map((other) => (
                    <option key={other.id} value={other.id}>
                      {bowName(other)}
                    </option>
                  ))}
              </NativeSelect>
            </label>
          </DrawForceChart>
        )}
        <LogCurve board={board} onStart={() => start()} onClear={clear} />
        <div className="split block">
          <CurveTable columns={columns} />
          <Speed bow={bow} />
        </div>
      </main>
      <ForceMargin logged={snapshot.curves.length > 0} />
    </>
  );
}

/** The model's curve of this setting, the newest logged one or what the board is sending, another bow's. */
function useLines(
  bow: BowRecord,
  other: BowRecord | null,
  curves: readonly LoggedCurve[],
  coming: readonly CurvePoint[],
): ForceLine[] {
  const { snapshot, derived } = useJob();
  const { history, context } = derived;
  const peak = history.get('peakWeight')?.at(-1)?.si ?? context.peakTargetN;
  const length = history.get('drawLength')?.at(-1)?.si ?? context.moduleStepMm;
  const model = (of: BowRecord, drawLengthMm: number, peakN: number) =>
    forceCurvePoints({ ...of, drawLengthMm: mm(drawLengthMm), peakN: newton(peakN) }, 60);
  const lines: ForceLine[] = [];
  if (peak !== null && length !== null)
    lines.push({ name: w.lineModel, kind: 'model', points: model(bow, length, peak) });
  const logged = coming.length > 1 ? coming : snapshot.curves.at(-1)?.points;
  if (logged) lines.push({ name: w.lineLogged, kind: 'logged', points: logged });
  if (other) {
    const own = curves.find(({ bowId }) => bowId === other.id);
    const { stepMm, targetN } = drawOffSetup(other, derived);
    const name = bowName(other);
    if (own) lines.push({ name: w.lineOtherLogged(name), kind: 'other', points: own.points });
    else if (stepMm !== null && targetN !== null)
      lines.push({ name: w.lineOther(name), kind: 'other', points: model(other, stepMm, targetN) });
  }
  return lines;
}

function CurveTable({
  columns,
}: {
  columns: readonly { readonly name: string; readonly facts: CurveFacts }[];
}) {
  const { snapshot } = useJob();
  const units = snapshot.shop.units;
  const rows: readonly [string, (facts: CurveFacts) => string][] = [
    [w.peak, ({ peakN }) => write(peakN, 'force', units)],
    [w.holdingShort, ({ holdingN }) => write(holdingN, 'force', units)],
    [w.letOff, ({ letOff }) => `${Math.round(letOff * 100)} %`],
    [w.valley, ({ valleyMm }) => `${Math.round(valleyMm)} mm`],
    [w.stored, ({ storedEnergyJ }) => `${storedEnergyJ.toFixed(1)} J`],
  ];
  if (columns.length === 0) return <span />;
  return (
    <GridTable>
      {columns.length > 1 && (
        <thead>
          <tr>
            <th />
            {columns.map(({ name }) => (
              <th key={name} className="right">
                {name}
              </th>
            ))}
          </tr>
        </thead>
      )}
      <tbody>
        {rows.map(([name, say]) => (
          <tr key={name}>
            <td>{name}</td>
            {columns.map((column) => (
              <td key={column.name} className="figure right">
                {say(column.facts)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </GridTable>
  );
}

function Speed({ bow }: { bow: BowRecord }) {
  const { snapshot, derived } = useJob();
  const units = snapshot.shop.units;
  const input = speedInput(derived.context);
  const answer = input && speedSensitivity(input);
  if (!answer) return <p className="soft">{w.forceMissing}</p>;
  if (!answer.ok)
    return (
      <p className="note" data-kind="stop" role="alert">
        {answer.message}
      </p>
    );
  const speed = (mps: number) =>
    write(mps, 'speed', units, { signed: true, decimals: units.speed === 'fps' ? 1 : 2 });
  const bare = figureText(writeParts(answer.speedMps, 'speed', units));
  const rows: readonly [string, string][] = [
    [w.speed, `${bare} ± ${write(answer.speedMps * RATING_SPEED_SIGMA, 'speed', units)}`],
    [w.inArrow, `${answer.arrowEnergyJ.toFixed(1)} J`],
    [w.efficiency, `${(answer.efficiency * 100).toFixed(0)} %`],
    [
      w.moreWeight(spoken(N_PER_POUND, 'force', units, 'a pound', { decimals: 1 })),
      speed(answer.perPoundMps),
    ],
    [
      w.moreDraw(spoken(MM_PER_INCH / 2, 'length', units, 'half an inch', { decimals: 1 })),
      speed(answer.perHalfInchMps),
    ],
    [w.aGram, speed(answer.perGramMps)],
  ];
  return (
    <div>
      <GridTable>
        <tbody>
          {rows.map(([name, value]) => (
            <tr key={name}>
              <td>{name}</td>
              <td className="figure right">{value}</td>
            </tr>
          ))}
        </tbody>
      </GridTable>
      <p className="small soft">
        {input.storedEnergyJ === undefined ? w.energyModel : w.energyLogged(bowName(bow))}
      </p>
    </div>
  );
}

function ForceMargin({ logged }: { logged: boolean }) {
  const { derived, snapshot } = useJob();
  const { units } = snapshot.shop;
  const input = speedInput(derived.context);
  const answer = input && speedSensitivity(input);
  return (
    <Margin
      because={[
        logged ? w.because.forceLogged : w.because.force,
        w.because.rating,
        ...(answer?.ok ? answer.warnings : []),
      ]}
      watch={[
        { id: 'board', text: w.watch.board, stop: true },
        { id: 'dryFire', text: w.watch.lightArrow(perWeight(5, units)) },
      ]}
    />
  );
}
