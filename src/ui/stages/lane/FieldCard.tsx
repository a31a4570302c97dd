'use client';
import { slopeTable, weatherTable } from '@/core/flight';
import { levelCosts, type JobMarks } from '@/core/job';
import { M_PER_YARD, metre, write, type Metre } from '@/core/units';
import { useJob } from '../../job/JobProvider';
import { marksWords } from '../../words';

const w = marksWords.field;
const SLOPES = [-40, -30, -20, -10, 10, 20, 30, 40];

/** What goes on the field card: slopes, weather, and what a level that is off costs. */
export function FieldCard({ marks }: { marks: JobMarks }) {
  const { snapshot } = useJob();
  const units = snapshot.shop.units;
  const perUnit = units.distance === 'yd' ? M_PER_YARD : 1;
  const flight = marks.flight!;
  const distances = cardDistances(snapshot.job.furthestM, perUnit);
  const say = (distanceM: number) => write(distanceM, 'distance', units, { decimals: 0 });
  const bare = (distanceM: number) => (distanceM / perUnit).toFixed(0);
  const slopes = slopeTable(flight, distances, SLOPES);
  const weather = weatherTable(flight, distances);
  const costs = levelCosts(flight, marks.referenceM, distances);
  const head = (
    <tr>
      <th />
      {distances.map((d) => (
        <th key={d} className="right figure">
          {say(d)}
        </th>
      ))}
    </tr>
  );
  return (
    <div className="field-card">
      <section>
        <h3 className="block-title">{w.slope}</h3>
        <p className="soft">{w.slopeHint}</p>
        <table className="grid-table slope-table">
          <thead>{head}</thead>
          <tbody>
            {SLOPES.map((slope) => (
              <tr key={slope}>
                <th className="figure" scope="row">
                  {slope > 0 ? `+${slope}°` : `−${-slope}°`}
                </th>
                {slopes
                  .filter((row) => row.slopeDeg === slope)
                  .map((row) => (
                    <td key={row.distanceM} className="right figure">
                      {row.shootAsM === null ? '—' : bare(row.shootAsM)}
                    </td>
                  ))}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section>
        <h3 className="block-title">{w.weather}</h3>
        <table className="grid-table slope-table">
          <thead>{head}</thead>
          <tbody>
            {weather.map((row) => (
              <tr key={row.id}>
                <th scope="row">{w.rows[row.id]}</th>
                {row.hitMm.map((hit, i) => (
                  <td key={distances[i]} className="right figure">
                    {hits(hit)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section>
        <h3 className="block-title">{w.levels}</h3>
        <table className="grid-table slope-table">
          <thead>{head}</thead>
          <tbody>
            {(['second', 'third', 'first'] as const).map((axis) => (
              <tr key={axis}>
                <th scope="row">{w.level[axis]}</th>
                {costs[axis].map((miss, i) => (
                  <td key={distances[i]} className="right figure">
                    {(miss / 10).toFixed(1)} cm
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  );
}

const hits = (mm: number) =>
  Math.abs(mm) < 0.5
    ? w.same
    : mm > 0
      ? w.high(`${mm.toFixed(0)} mm`)
      : w.low(`${(-mm).toFixed(0)} mm`);

/** Five distances to the furthest that is wanted. */
function cardDistances(furthestM: number | null, perUnit: number): Metre[] {
  const most = Math.max(30, Math.round((furthestM ?? 50) / perUnit / 10) * 10);
  return [0.4, 0.55, 0.7, 0.85, 1].map((part) =>
    metre(Math.max(10, Math.round((part * most) / 5) * 5) * perUnit),
  );
}
