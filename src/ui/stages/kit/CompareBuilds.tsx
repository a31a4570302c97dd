import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import Button from '@mui/material/Button';
import {
  arrowParts,
  builtArrow,
  type AnyPart,
  type ArrowChoice,
  type ArrowGround,
} from '@/core/kit';
import { write, writeMoney } from '@/core/units';
import { Text } from '../../pieces/Text';
import { useJob } from '../../job/JobProvider';
import { arrowWords as w } from '../../words';
import { GridTable } from '../../fields/GridTable';
import { Block, BlockTitle } from '../../pieces/layout';
import { arrowDecimals } from './ArrowFacts';
import css from './CompareBuilds.module.css';

/** Several builds in one table, each figure beside the others. */
export function CompareBuilds({
  builds,
  find,
  ground,
  current,
  onPick,
}: {
  builds: readonly ArrowChoice[];
  find: (id: string) => AnyPart | null;
  ground: ArrowGround;
  current: ArrowChoice;
  onPick: (index: number) => void;
}) {
  const { units } = useJob().snapshot.shop;
  return (
    <Block>
      <BlockTitle>{w.compare}</BlockTitle>
      <GridTable className={css.compareBuilds} data-part="compare-builds">
        <TableHead>
          <TableRow>
            {w.compareHeads.map((head) => (
              <TableCell key={head}>{head}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {builds.map((choice, i) => {
            const parts = arrowParts(choice, find);
            const answer = parts && builtArrow(choice, parts, ground);
            return (
              <TableRow key={choice.name} data-current={choice === current ? 'yes' : 'no'}>
                <TableCell>
                  <Button type="button" variant="link" onClick={() => onPick(i)}>
                    {w.build(choice.name)}
                  </Button>
                </TableCell>
                {parts && answer?.ok ? (
                  <>
                    <TableCell>{parts.shaft.model}</TableCell>
                    <TableCell>
                      <Text variant="figure">
                        {write(answer.massG, 'mass', units, arrowDecimals(units))}
                      </Text>
                    </TableCell>
                    <TableCell>
                      <Text variant="figure">{answer.frontOfCentrePct.toFixed(1)} %</Text>
                    </TableCell>
                    <TableCell>
                      {answer.spineVerdict ? w.verdicts[answer.spineVerdict] : '—'}
                    </TableCell>
                    <TableCell>
                      <Text variant="figure">
                        {answer.speedMps === null ? '—' : write(answer.speedMps, 'speed', units)}
                      </Text>
                    </TableCell>
                    <TableCell>
                      <Text variant="figure">
                        {answer.energyJ === null ? '—' : w.joule(answer.energyJ.toFixed(0))}
                      </Text>
                    </TableCell>
                    <TableCell>
                      <Text variant="figure">{writeMoney(answer.priceCents)}</Text>
                    </TableCell>
                  </>
                ) : (
                  <TableCell colSpan={7}>
                    {answer && !answer.ok ? answer.message : w.partGone}
                  </TableCell>
                )}
              </TableRow>
            );
          })}
        </TableBody>
      </GridTable>
    </Block>
  );
}
