'use client';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { SHEET_GROUPS } from '@/core/sheet';
import { STANDING_WORDS, twinMarks, type TwinRow } from '@/core/twin';
import { write } from '@/core/units';
import { WithFractions } from '../../fields/Figure';
import { GridTable } from '../../fields/GridTable';
import { useJob } from '../../job/JobProvider';
import { Block } from '../../pieces/layout';
import { Tag } from '../../pieces/texts';
import { Text } from '../../pieces/Text';
import { like as w } from '../../words';
import css from './TwinTables.module.css';

const KIND = {
  same: 'in',
  off: 'out',
  open: 'plain',
  notTold: 'plain',
  start: 'plain',
  beside: 'plain',
} as const;

/** Both bows value by value under the headings of the sheet, then their marks. */
export function TwinTables({ rows }: { rows: readonly TwinRow[] }) {
  return (
    <>
      <Block>
        <h3>{w.beside}</h3>
        <GridTable data-part="twin-rows">
          <TableHead>
            <TableRow>
              {w.heads.map((head, i) => (
                <TableCell key={i} align={i > 0 && i < 4 ? 'right' : 'left'}>
                  {head}
                </TableCell>
              ))}
            </TableRow>
          </TableHead>
          {SHEET_GROUPS.map(({ id, name }) => (
            <Group key={id} name={name} rows={rows.filter(({ group }) => group === id)} />
          ))}
        </GridTable>
      </Block>
      <Marks />
    </>
  );
}

function Group({ name, rows }: { name: string; rows: readonly TwinRow[] }) {
  if (rows.length === 0) return null;
  return (
    <TableBody>
      <TableRow>
        <TableCell component="th" colSpan={5} className={css.group}>
          {name}
        </TableCell>
      </TableRow>
      {rows.map(({ key, name: of, now, model, nowText, modelText, differsText, standing }) => (
        <TableRow key={key} data-key={key} data-standing={standing}>
          <TableCell>{of}</TableCell>
          <Side text={nowText} isNumber={now !== null && now.si !== null} />
          <Side text={modelText} isNumber={model !== null && model.si !== null} />
          <Figure text={standing === 'same' ? '' : (differsText ?? '')} />
          <TableCell>
            <Tag kind={KIND[standing]}>{STANDING_WORDS[standing]}</Tag>
          </TableCell>
        </TableRow>
      ))}
    </TableBody>
  );
}

/** Words break, numbers do not. */
const Side = ({ text, isNumber }: { text: string | null; isNumber: boolean }) =>
  isNumber ? <Figure text={text} /> : <TableCell align="right">{text ?? '—'}</TableCell>;

const Figure = ({ text }: { text: string | null }) => (
  <TableCell align="right">
    <Text variant="figure">
      <WithFractions text={text ?? '—'} />
    </Text>
  </TableCell>
);

const below = (mm: number) => `${mm.toFixed(1).replace('-', '−')} mm`;

function Marks() {
  const { snapshot, derived } = useJob();
  const marks = twinMarks(snapshot, derived);
  if (!marks) return null;
  const say = (m: number) => write(m, 'distance', snapshot.shop.units, { decimals: 0 });
  return (
    <Block>
      <h3>{w.marks(say(marks.firstM))}</h3>
      <Text soft>{marks.basis.join('. ')}.</Text>
      <GridTable data-part="twin-marks">
        <TableHead>
          <TableRow>
            {w.marksHeads.map((head, i) => (
              <TableCell key={i} align={i === 1 || i === 2 ? 'right' : 'left'}>
                {head}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {marks.rows.map(({ distanceM, hereMm, modelMm, shot }) => (
            <TableRow key={distanceM}>
              <TableCell>
                <b>{say(distanceM)}</b>
              </TableCell>
              <Figure text={hereMm === null ? w.outOfReach : below(hereMm)} />
              <Figure text={below(modelMm)} />
              <TableCell>{shot ? w.shot : w.predicted}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </GridTable>
    </Block>
  );
}
