import Typography from '@mui/material/Typography';
import type { BuiltArrow } from '@/core/kit';
import { perWeight, write, type ShopUnits } from '@/core/units';
import { arrowWords as w } from '../../words';
import { Tag } from '../../pieces/texts';
import css from './ArrowFacts.module.css';

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
    <dl className={css.arrowFacts} data-part="arrow-facts">
      <div>
        <dt>{w.mass}</dt>
        <Typography variant="big" component="dd">
          {write(massG, 'mass', units, arrowDecimals(units))}
        </Typography>
        {grainsPerPound !== undefined && (
          <dd>
            {light ? (
              <Tag kind="warn">{w.perPoundLight(perWeight(grainsPerPound, units))}</Tag>
            ) : (
              <Typography variant="small" color="textSecondary">
                {w.perPound(perWeight(grainsPerPound, units))}
              </Typography>
            )}
          </dd>
        )}
      </div>
      <div>
        <dt>{w.foc}</dt>
        <Typography variant="figure" component="dd" className={css.mid}>
          {frontOfCentrePct.toFixed(1)} %
        </Typography>
      </div>
      <div>
        <dt>{w.spine}</dt>
        <Typography variant="figure" component="dd" className={css.mid}>
          {neededSpineIn === undefined ? '—' : neededSpineIn.toFixed(3)}
        </Typography>
        <dd>
          {spineVerdict ? (
            <Tag kind={spineVerdict === 'good' ? 'in' : 'out'}>{w.verdicts[spineVerdict]}</Tag>
          ) : (
            <Typography variant="small" color="textSecondary">
              {w.noBow}
            </Typography>
          )}
        </dd>
        {asWeighed && (
          <Typography variant="small" color="textSecondary" component="dd">
            {w.asWeighed(
              write(asWeighed.peakN, 'force', units),
              w.verdicts[asWeighed.spineVerdict],
              perWeight(asWeighed.grainsPerPound, units),
            )}
          </Typography>
        )}
      </div>
      <div>
        <dt>{w.speed}</dt>
        <Typography variant="figure" component="dd" className={css.mid}>
          {speedMps === null ? '—' : write(speedMps, 'speed', units)}
        </Typography>
        <Typography variant="small" color="textSecondary" component="dd">
          {energyJ === null ? w.noBow : w.energy(energyJ.toFixed(0))}
        </Typography>
      </div>
    </dl>
  );
}
