import type { BuiltArrow } from '@/core/kit';
import { write, type ShopUnits } from '@/core/units';
import { Text } from '../../pieces/Text';
import { arrowWords as w } from '../../words';
import { Block, BlockTitle, Rows } from '../../pieces/layout';
import { arrowDecimals } from './ArrowFacts';
import css from './ArrowChanges.module.css';

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
    <Block>
      <BlockTitle>{w.changes}</BlockTitle>
      <Rows className={css.changeRows}>
        {changes.map(({ name, massG, frontOfCentrePct, neededSpineIn, speedMps }) => (
          <li key={name}>
            <span>{name}</span>
            <Text variant="figure">
              {signed(write(massG, 'mass', units, arrowDecimals(units)), massG)}
            </Text>
            <Text variant="figure">
              {signed(`${frontOfCentrePct.toFixed(1)} %`, frontOfCentrePct)}
            </Text>
            <Text variant="figure">
              {neededSpineIn === null ? '' : signed(neededSpineIn.toFixed(3), neededSpineIn)}
            </Text>
            <Text variant="figure">
              {speedMps === null ? '' : signed(write(speedMps, 'speed', units), speedMps)}
            </Text>
          </li>
        ))}
      </Rows>
      <Text variant="small" soft as="p">
        {w.changesKey}
      </Text>
    </Block>
  );
}

const signed = (text: string, value: number) => (value > 0 ? `+${text}` : text.replace(/^-/, '−'));
