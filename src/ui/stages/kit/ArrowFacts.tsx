import type { BuiltArrow } from '@/core/kit';
import { perWeight, write, type ShopUnits } from '@/core/units';
import { Text } from '../../pieces/Text';
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
        <Text variant="big" as="dd">
          {write(massG, 'mass', units, arrowDecimals(units))}
        </Text>
        {grainsPerPound !== undefined && (
          <dd>
            {light ? (
              <Tag kind="warn">{w.perPoundLight(perWeight(grainsPerPound, units))}</Tag>
            ) : (
              <Text variant="small" soft>
                {w.perPound(perWeight(grainsPerPound, units))}
              </Text>
            )}
          </dd>
        )}
      </div>
      <div>
        <dt>{w.foc}</dt>
        <Text variant="figure" as="dd" className={css.mid}>
          {frontOfCentrePct.toFixed(1)} %
        </Text>
      </div>
      <div>
        <dt>{w.spine}</dt>
        <Text variant="figure" as="dd" className={css.mid}>
          {neededSpineIn === undefined ? '—' : neededSpineIn.toFixed(3)}
        </Text>
        <dd>
          {spineVerdict ? (
            <Tag kind={spineVerdict === 'good' ? 'in' : 'out'}>{w.verdicts[spineVerdict]}</Tag>
          ) : (
            <Text variant="small" soft>
              {w.noBow}
            </Text>
          )}
        </dd>
        {asWeighed && (
          <Text variant="small" soft as="dd">
            {w.asWeighed(
              write(asWeighed.peakN, 'force', units),
              w.verdicts[asWeighed.spineVerdict],
              perWeight(asWeighed.grainsPerPound, units),
            )}
          </Text>
        )}
      </div>
      <div>
        <dt>{w.speed}</dt>
        <Text variant="figure" as="dd" className={css.mid}>
          {speedMps === null ? '—' : write(speedMps, 'speed', units)}
        </Text>
        <Text variant="small" soft as="dd">
          {energyJ === null ? w.noBow : w.energy(energyJ.toFixed(0))}
        </Text>
      </div>
    </dl>
  );
}
