'use client';
import { speedSensitivity, type BowRecord } from '@/core/bow';
import { RATING_SPEED_SIGMA, speedInput } from '@/core/job';
import { figureText, write, writeParts } from '@/core/units';
import { DrawForceChart } from '../../charts/DrawForceChart';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { bow as w } from '../../words';
import { BowParts } from './BowParts';

/** How the weight runs over the draw, what is stored, how fast the arrow, and what changes it. */
export function DrawForce({ bow }: { bow: BowRecord }) {
  const { snapshot, derived } = useJob();
  const units = snapshot.shop.units;
  const input = speedInput(derived.context);
  const answer = input && speedSensitivity(input);
  const speed = (mps: number, signed = false) =>
    write(mps, 'speed', units, { signed, decimals: units.speed === 'fps' ? 1 : 2 });
  const bare = (mps: number) => figureText(writeParts(mps, 'speed', units));
  const rows: [string, string][] =
    input && answer?.ok
      ? [
          [w.peak, write(input.setting.peakN, 'force', units)],
          [w.holding(Math.round(bow.letOff * 100)), write(answer.holdingN, 'force', units)],
          [w.stored, `${answer.storedEnergyJ.toFixed(1)} J`],
          [w.inArrow, `${answer.arrowEnergyJ.toFixed(1)} J`],
          [w.efficiency, `${(answer.efficiency * 100).toFixed(0)} %`],
          [
            w.speed,
            `${bare(answer.speedMps)} ± ${write(answer.speedMps * RATING_SPEED_SIGMA, 'speed', units)}`,
          ],
        ]
      : [];
  return (
    <>
      <main className="work">
        <BowParts current="force" />
        {!input && <p className="note">{w.forceMissing}</p>}
        {answer && !answer.ok && (
          <p className="note" data-kind="stop" role="alert">
            {answer.message}
          </p>
        )}
        {input && (
          <DrawForceChart
            curve={{
              ...input.setting,
              braceHeightMm: bow.braceHeightMm,
              letOff: bow.letOff,
              character: bow.character,
            }}
            shop={units}
          />
        )}
        {answer?.ok && (
          <div className="split block">
            <table className="grid-table">
              <tbody>
                {rows.map(([name, value]) => (
                  <tr key={name}>
                    <td>{name}</td>
                    <td className="figure right">{value}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <table className="grid-table">
              <thead>
                <tr>
                  <th colSpan={2}>{w.whatChanges}</th>
                </tr>
              </thead>
              <tbody>
                <tr>
                  <td>{w.aPound}</td>
                  <td className="figure right">{speed(answer.perPoundMps, true)}</td>
                </tr>
                <tr>
                  <td>{w.halfAnInch}</td>
                  <td className="figure right">{speed(answer.perHalfInchMps, true)}</td>
                </tr>
                <tr>
                  <td>{w.aGram}</td>
                  <td className="figure right">{speed(answer.perGramMps, true)}</td>
                </tr>
              </tbody>
            </table>
          </div>
        )}
      </main>
      <Margin
        because={[w.because.force, w.because.rating, ...(answer?.ok ? answer.warnings : [])]}
        watch={[{ id: 'dryFire', text: w.watch.lightArrow }]}
      />
    </>
  );
}
