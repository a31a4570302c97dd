import type { BuiltArrow } from '@/core/kit';
import { write, type ShopUnits } from '@/core/units';
import { arrowWords as w } from '../../words';
import { arrowDecimals } from './ArrowFacts';

/** What single changes of the arrow would do to it: mass, balance, needed spine, speed. */
export function ArrowChanges({
  changes,
  units,
}: {
  changes: BuiltArrow['changes'];
  units: ShopUnits;
}) {
  if (changes.length === 0) return null;
  return (
    <section className="block">
      <h3 className="block-title">{w.changes}</h3>
      <ul className="rows change-rows">
        {changes.map(({ name, massG, frontOfCentrePct, neededSpineIn, speedMps }) => (
          <li key={name}>
            <span>{name}</span>
            <span className="figure">
              {signed(write(massG, 'mass', units, arrowDecimals(units)), massG)}
            </span>
            <span className="figure">
              {signed(`${frontOfCentrePct.toFixed(1)} %`, frontOfCentrePct)}
            </span>
            <span className="figure">
              {neededSpineIn === null ? '' : signed(neededSpineIn.toFixed(3), neededSpineIn)}
            </span>
            <span className="figure">
              {speedMps === null ? '' : signed(write(speedMps, 'speed', units), speedMps)}
            </span>
          </li>
        ))}
      </ul>
      <p className="small soft">{w.changesKey}</p>
    </section>
  );
}

const signed = (text: string, value: number) => (value > 0 ? `+${text}` : text.replace(/^-/, '−'));
