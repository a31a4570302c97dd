import Typography from '@mui/material/Typography';
import type { BuiltArrow } from '@/core/kit';
import { write, type ShopUnits } from '@/core/units';
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
            <Typography variant="figure">
              {signed(write(massG, 'mass', units, arrowDecimals(units)), massG)}
            </Typography>
            <Typography variant="figure">
              {signed(`${frontOfCentrePct.toFixed(1)} %`, frontOfCentrePct)}
            </Typography>
            <Typography variant="figure">
              {neededSpineIn === null ? '' : signed(neededSpineIn.toFixed(3), neededSpineIn)}
            </Typography>
            <Typography variant="figure">
              {speedMps === null ? '' : signed(write(speedMps, 'speed', units), speedMps)}
            </Typography>
          </li>
        ))}
      </Rows>
      <Typography variant="small" color="textSecondary" component="p">
        {w.changesKey}
      </Typography>
    </Block>
  );
}

const signed = (text: string, value: number) => (value > 0 ? `+${text}` : text.replace(/^-/, '−'));
