import type { BuiltArrow } from '@/core/kit';
import { perWeight, write, type ShopUnits } from '@/core/units';
import { arrowWords as w } from '../../words';

/** A grain, or a tenth of a gram: what an arrow is weighed to. */
export const arrowDecimals = ({ mass }: ShopUnits) => ({ decimals: mass === 'gr' ? 0 : 1 });

/** What the arrow comes to, the mass largest; what it rests on stands in the margin. */
export function ArrowFacts({ arrow, units }: { arrow: BuiltArrow; units: ShopUnits }) {
  const {
    massG,
    frontOfCentrePct,
    spineVerdict,
    neededSpineIn,
    grainsPerPound,
    speedMps,
    energyJ,
    asWeighed,
  } = arrow;
  const light = grainsPerPound !== undefined && grainsPerPound < 6;
  return (
    <dl className="arrow-facts">
      <div>
        <dt>{w.mass}</dt>
        <dd className="big figure">{write(massG, 'mass', units, arrowDecimals(units))}</dd>
        {grainsPerPound !== undefined && (
          <dd>
            {light ? (
              <span className="tag" data-kind="warn">
                {w.perPoundLight(perWeight(grainsPerPound, units))}
              </span>
            ) : (
              <span className="small soft">{w.perPound(perWeight(grainsPerPound, units))}</span>
            )}
          </dd>
        )}
      </div>
      <div>
        <dt>{w.foc}</dt>
        <dd className="figure mid">{frontOfCentrePct.toFixed(1)} %</dd>
      </div>
      <div>
        <dt>{w.spine}</dt>
        <dd className="figure mid">
          {neededSpineIn === undefined ? '—' : neededSpineIn.toFixed(3)}
        </dd>
        <dd>
          {spineVerdict ? (
            <span className="tag" data-kind={spineVerdict === 'good' ? 'in' : 'out'}>
              {w.verdicts[spineVerdict]}
            </span>
          ) : (
            <span className="small soft">{w.noBow}</span>
          )}
        </dd>
        {asWeighed && (
          <dd className="small soft">
            {w.asWeighed(
              write(asWeighed.peakN, 'force', units),
              w.verdicts[asWeighed.spineVerdict],
              perWeight(asWeighed.grainsPerPound, units),
            )}
          </dd>
        )}
      </div>
      <div>
        <dt>{w.speed}</dt>
        <dd className="figure mid">{speedMps === null ? '—' : write(speedMps, 'speed', units)}</dd>
        <dd className="small soft">{energyJ === null ? w.noBow : w.energy(energyJ.toFixed(0))}</dd>
      </div>
    </dl>
  );
}
