'use client';
import Link from 'next/link';
import Button from '@mui/material/Button';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { itemOf } from '@/core/kit';
import { jobMarks, markDistances, type JobMarks, type MarkInput } from '@/core/job';
import { latest } from '@/core/setup';
import { write } from '@/core/units';
import { Text } from '../../pieces/Text';
import { ResidualChart } from '../../charts/ResidualChart';
import { MarksTape } from '../../drawings/MarksTape';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { lane as w, marksWords as m } from '../../words';
import { GridTable } from '../../fields/GridTable';
import { Work } from '../../job/Work';
import { ValueTabs, Verdict } from '../../pieces/layout';
import { Note, Tag } from '../../pieces/texts';
import { FieldCard } from './FieldCard';
import { LaneParts } from './LaneParts';
import { PinGaps } from './PinGaps';
import { TapeMaker } from './TapeMaker';
import css from './Marks.module.css';

const VIEWS = ['marks', 'tape', 'pins', 'field'] as const;
type View = (typeof VIEWS)[number];

/** Pin heights for every distance, what they rest on; tape or pins made from them; weather and slope. */
export function Marks() {
  const { snapshot, derived } = useJob();
  const { at, href } = useStage();
  const sight = itemOf(derived.kit, 'sight')?.attrs;
  // A sight that slides takes a tape, one with several fixed pins takes gaps; unknown, both are shown.
  const views = VIEWS.filter(
    (view) =>
      !sight ||
      (view === 'tape' ? sight.slides : view === 'pins' ? sight.pins > 1 && !sight.slides : true),
  );
  const view: View = views.find((id) => id === at('view')) ?? 'marks';
  const marks = jobMarks(
    derived,
    markDistances(snapshot.job.furthestM, snapshot.shop.units.distance),
  );
  return (
    <>
      <Work>
        <LaneParts current="marks" />
        <ValueTabs>
          {views.map((id) => (
            <li key={id}>
              <Button
                variant="plain"
                component={Link}
                href={href('lane', { part: 'marks', ...(id === 'marks' ? {} : { view: id }) })}
                scroll={false}
                aria-current={id === view ? 'step' : undefined}
              >
                {m.tabs[id]}
              </Button>
            </li>
          ))}
        </ValueTabs>
        {!marks.answer.ok && <Note>{marks.answer.message}</Note>}
        {marks.flight && view === 'marks' && <MarkRows marks={marks} />}
        {marks.flight && view === 'tape' && <TapeMaker />}
        {marks.flight && view === 'pins' && <PinGaps marks={marks} />}
        {marks.flight && view === 'field' && <FieldCard marks={marks} />}
      </Work>
      <Margin
        first={<Inputs inputs={marks.inputs} />}
        because={BECAUSE[view]}
        watch={[{ id: 'target', text: w.watch.target, stop: true }]}
      />
    </>
  );
}

const BECAUSE: Readonly<Record<View, readonly string[]>> = {
  marks: [w.because.model, w.because.sigma],
  tape: [m.tape.because, m.tape.stick],
  pins: [m.pins.because],
  field: [m.field.because.slope, m.field.because.weather, m.field.because.levels],
};

function MarkRows({ marks }: { marks: JobMarks }) {
  const units = useJob().snapshot.shop.units;
  const { answer, sigmaMm, referenceM, shots } = marks;
  if (!answer.ok) return null;
  const clear = answer.furthestClearM ?? null;
  const say = (distanceM: number) => write(distanceM, 'distance', units, { decimals: 0 });
  const rows = answer.marks
    .map((mark, i) => ({ ...mark, sigma: sigmaMm?.[i] ?? null }))
    .filter((mark) => clear === null || mark.distanceM <= clear);
  const first = marks.referencePinMm;
  const confirmed = (distanceM: number) =>
    shots.some((shot) => Math.abs(shot.distanceM - distanceM) < 0.5);
  return (
    <>
      {clear === 0 && <Note kind="stop">{w.noneClear}</Note>}
      <Fit marks={marks} />
      {rows.length > 0 && first !== null && (
        <div className={css.marksSplit}>
          <GridTable className={css.marksTable}>
            <TableHead>
              <TableRow>
                <TableCell>{w.distance}</TableCell>
                <TableCell align="right">{w.belowOf(say(referenceM))}</TableCell>
                <TableCell align="right">{w.spread}</TableCell>
                <TableCell align="right">{w.time}</TableCell>
                <TableCell align="right">{w.impact}</TableCell>
                <TableCell align="right">{w.energy}</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {rows.map((mark) => (
                <TableRow
                  key={mark.distanceM}
                  data-confirmed={confirmed(mark.distanceM) ? 'yes' : 'no'}
                >
                  <TableCell>
                    <Text variant="figure" as="b">
                      {say(mark.distanceM)}
                    </Text>
                  </TableCell>
                  <TableCell align="right" className={css.strong}>
                    <Text variant="figure">{signed(first - mark.pinAboveArrowMm)} mm</Text>
                  </TableCell>
                  <TableCell align="right">
                    <Text variant="figure" soft>
                      {mark.sigma === null ? '' : mark.sigma.toFixed(1)}
                    </Text>
                  </TableCell>
                  <TableCell align="right">
                    <Text variant="figure">{mark.timeOfFlightS.toFixed(2)} s</Text>
                  </TableCell>
                  <TableCell align="right">
                    <Text variant="figure">{write(mark.impactSpeedMps, 'speed', units)}</Text>
                  </TableCell>
                  <TableCell align="right">
                    <Text variant="figure">{mark.impactEnergyJ.toFixed(0)} J</Text>
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </GridTable>
          <MarksTape
            marks={rows.map((mark) => ({
              text: say(mark.distanceM),
              dropMm: rows[0]!.pinAboveArrowMm - mark.pinAboveArrowMm,
            }))}
          />
        </div>
      )}
      {clear !== null && clear > 0 && <Note>{w.clearTo(say(clear))}</Note>}
    </>
  );
}

const signed = (mm: number) => mm.toFixed(1).replace('-', '−');

/** What the shots say, held against the chronograph; how each mark lies to the fit. */
function Fit({ marks: { fit, shots } }: { marks: JobMarks }) {
  const { snapshot, derived } = useJob();
  const units = snapshot.shop.units;
  if (!fit) return null;
  if (!fit.ok) return <Note>{fit.message}</Note>;
  const speed = (mps: number) => write(mps, 'speed', units, { decimals: 1 });
  const chrono = latest(derived.history, 'arrowSpeed')?.si ?? null;
  const apart = chrono === null ? 0 : fit.speedMps / chrono - 1;
  const say = (distanceM: number) => write(distanceM, 'distance', units, { decimals: 0 });
  return (
    <div className={css.fitSays}>
      <Verdict>
        <b>
          {m.fitSays(
            speed(fit.speedMps),
            fit.sigmaSpeedMps === null ? '' : m.fitSigma(speed(fit.sigmaSpeedMps)),
          )}
        </b>
        {fit.sigmaDrag !== null && `, ${m.fitDrag(fit.dragCoefficient.toFixed(2))}`}.{' '}
        {chrono !== null && Math.abs(apart) > 0.02 && (
          <span>{m.chrono(speed(chrono), `${Math.abs(apart * 100).toFixed(1)} %`)}</span>
        )}
      </Verdict>
      {fit.odd !== null && (
        <Note role="alert">
          {m.odd(say(shots[fit.odd]!.distanceM), signed(fit.residualsMm[fit.odd]!))}
        </Note>
      )}
      {shots.length > 2 && (
        <ResidualChart
          points={shots.map((shot, i) => ({
            distanceM: shot.distanceM,
            residualMm: fit.residualsMm[i]!,
          }))}
          sigmaMm={fit.sigmaMarkMm}
          odd={fit.odd}
          units={units}
        />
      )}
    </div>
  );
}

function Inputs({ inputs }: { inputs: readonly MarkInput[] }) {
  const units = useJob().snapshot.shop.units;
  return (
    <section>
      <h2>{w.restsOn}</h2>
      <ul>
        {inputs.map(({ name, si, quantity, from }) => (
          <li key={name}>
            {name}{' '}
            {si !== null && (
              <Text variant="figure" as="b">
                <WithFractions
                  text={quantity === 'number' ? si.toFixed(2) : write(si, quantity, units)}
                />
              </Text>
            )}{' '}
            {from === 'measured' || from === 'shots' ? (
              <Text soft as="span">
                {w.from[from]}
              </Text>
            ) : (
              <Tag kind={from === 'missing' ? 'out' : 'warn'}>{w.from[from]}</Tag>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
