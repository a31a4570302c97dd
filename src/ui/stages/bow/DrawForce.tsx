'use client';
import { useState } from 'react';
import NativeSelect from '@mui/material/NativeSelect';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
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
import { Text } from '../../pieces/Text';
import { DrawForceChart, type ForceLine } from '../../charts/DrawForceChart';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { bow as w } from '../../words';
import { GridTable } from '../../fields/GridTable';
import { Work } from '../../job/Work';
import { Note } from '../../pieces/texts';
import { Block, Split } from '../../pieces/layout';
import { BowParts } from './BowParts';
import { LogCurve } from './LogCurve';
import { useDrawBoard } from './useDrawBoard';
import css from './DrawForce.module.css';

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
      <Work>
        <BowParts current="force" />
        {lines.length === 0 ? (
          <Note>{w.curveMissing}</Note>
        ) : (
          <DrawForceChart lines={lines} shop={snapshot.shop.units}>
            <label className={css.overlay} data-part="overlay">
              <Text soft as="span">
                {w.overlay}
              </Text>
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
        <Block as={Split}>
          <CurveTable columns={columns} />
          <Speed bow={bow} />
        </Block>
      </Work>
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
        <TableHead>
          <TableRow>
            <TableCell />
            {columns.map(({ name }) => (
              <TableCell key={name} align="right">
                {name}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
      )}
      <TableBody>
        {rows.map(([name, say]) => (
          <TableRow key={name}>
            <TableCell>{name}</TableCell>
            {columns.map((column) => (
              <TableCell key={column.name} align="right">
                <Text variant="figure">{say(column.facts)}</Text>
              </TableCell>
            ))}
          </TableRow>
        ))}
      </TableBody>
    </GridTable>
  );
}

function Speed({ bow }: { bow: BowRecord }) {
  const { snapshot, derived } = useJob();
  const units = snapshot.shop.units;
  const input = speedInput(derived.context);
  const answer = input && speedSensitivity(input);
  if (!answer) return <Text soft>{w.forceMissing}</Text>;
  if (!answer.ok)
    return (
      <Note kind="stop" role="alert">
        {answer.message}
      </Note>
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
        <TableBody>
          {rows.map(([name, value]) => (
            <TableRow key={name}>
              <TableCell>{name}</TableCell>
              <TableCell align="right">
                <Text variant="figure">{value}</Text>
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </GridTable>
      <Text variant="small" soft as="p">
        {input.storedEnergyJ === undefined ? w.energyModel : w.energyLogged(bowName(bow))}
      </Text>
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
