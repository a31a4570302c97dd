'use client';
import { jobMarks, markDistances, type MarkInput } from '@/core/job';
import { write } from '@/core/units';
import { MarksTape } from '../../drawings/MarksTape';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { lane as w } from '../../words';
import { LaneParts } from './LaneParts';

/** Pin heights for every distance from speed, arrow and geometry; what they rest on beside them. */
export function Marks() {
  const { snapshot, derived } = useJob();
  const units = snapshot.shop.units;
  const distances = markDistances(snapshot.job.furthestM, units.distance);
  const { inputs, answer, sigmaMm } = jobMarks(derived, distances);
  const clear = answer.ok ? (answer.furthestClearM ?? null) : null;
  const say = (m: number) => write(m, 'distance', units, { decimals: 0 });
  const rows = answer.ok
    ? answer.marks
        .map((mark, i) => ({ ...mark, sigma: sigmaMm?.[i] ?? null }))
        .filter((mark) => clear === null || mark.distanceM <= clear)
    : [];
  const first = rows[0]?.pinAboveArrowMm ?? 0;
  return (
    <>
      <main className="work">
        <LaneParts current="marks" />
        {!answer.ok && <p className="note">{answer.message}</p>}
        {answer.ok && clear === 0 && (
          <p className="note" data-kind="stop">
            {w.noneClear}
          </p>
        )}
        {rows.length > 0 && (
          <div className="marks-split">
            <table className="grid-table marks-table">
              <thead>
                <tr>
                  <th>{w.distance}</th>
                  <th className="right">{w.below}</th>
                  <th className="right">{w.spread}</th>
                  <th className="right">{w.time}</th>
                  <th className="right">{w.impact}</th>
                  <th className="right">{w.energy}</th>
                </tr>
              </thead>
              <tbody>
                {rows.map((mark) => (
                  <tr key={mark.distanceM}>
                    <td>
                      <b className="figure">{say(mark.distanceM)}</b>
                    </td>
                    <td className="right figure strong">
                      {(first - mark.pinAboveArrowMm).toFixed(1)} mm
                    </td>
                    <td className="right figure soft">
                      {mark.sigma === null ? '' : mark.sigma.toFixed(1)}
                    </td>
                    <td className="right figure">{mark.timeOfFlightS.toFixed(2)} s</td>
                    <td className="right figure">{write(mark.impactSpeedMps, 'speed', units)}</td>
                    <td className="right figure">{mark.impactEnergyJ.toFixed(0)} J</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <MarksTape
              marks={rows.map((mark) => ({
                text: say(mark.distanceM),
                dropMm: first - mark.pinAboveArrowMm,
              }))}
            />
          </div>
        )}
        {clear !== null && clear > 0 && <p className="note">{w.clearTo(say(clear))}</p>}
      </main>
      <Margin
        first={<Inputs inputs={inputs} />}
        because={[w.because.model, w.because.sigma]}
        watch={[{ id: 'target', text: w.watch.target, stop: true }]}
      />
    </>
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
              <b className="figure">
                <WithFractions text={write(si, quantity, units)} />
              </b>
            )}{' '}
            <span
              className={from === 'measured' ? 'soft' : 'tag'}
              data-kind={from === 'missing' ? 'out' : 'warn'}
            >
              {w.from[from]}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
