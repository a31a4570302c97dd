'use client';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { massProperties, type MassPart, type MassProperties } from '@/core/balance';
import type { BareBow } from '@/core/steady';
import { GridTable } from '../../fields/GridTable';
import { Block } from '../../pieces/layout';
import { Text } from '../../pieces/Text';
import { steady as w } from '../../words';
import { grams, torque } from './say';
import css from './Levers.module.css';

/** What each part adds to tip and roll: its mass times its lever, as a bar either way and in figures. */
export function Levers({
  props,
  bare,
  parts,
}: {
  props: MassProperties;
  bare: BareBow;
  parts: readonly MassPart[];
}) {
  const rows = [
    {
      name: w.bareBow,
      massG: bare.massG,
      ...ofPart({ name: 'bow', massG: bare.massG, at: bare.centre }),
    },
    ...parts.map((part) => ({ name: part.name, massG: part.massG, ...ofPart(part) })),
  ];
  const most = Math.max(
    ...rows.map(({ roll, pitch }) => Math.max(Math.abs(roll), Math.abs(pitch))),
    1,
  );
  return (
    <Block>
      <h3>{w.levers}</h3>
      <GridTable data-part="levers">
        <TableHead>
          <TableRow>
            {w.leverHeads.map((head, i) => (
              <TableCell key={i} align={i > 1 ? 'right' : 'left'}>
                {head}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map(({ name, massG, roll, pitch }, i) => (
            <TableRow key={`${name}${i}`}>
              <TableCell>
                <Text variant="figure">{i === 0 ? '' : i}</Text>
              </TableCell>
              <TableCell>{name}</TableCell>
              <TableCell align="right">
                <Text variant="figure">{grams(massG)}</Text>
              </TableCell>
              <Lever nmm={roll} most={most} />
              <Lever nmm={pitch} most={most} />
            </TableRow>
          ))}
          <TableRow className={css.sum}>
            <TableCell />
            <TableCell />
            <TableCell align="right">
              <Text variant="figure">{grams(props.massG)}</Text>
            </TableCell>
            <TableCell align="right">
              <Text variant="figure">{torque(props.rollTorqueNmm)}</Text>
            </TableCell>
            <TableCell align="right">
              <Text variant="figure">{torque(props.pitchTorqueNmm)}</Text>
            </TableCell>
          </TableRow>
        </TableBody>
      </GridTable>
    </Block>
  );
}

function ofPart(part: MassPart) {
  const { rollTorqueNmm, pitchTorqueNmm } = massProperties([part]);
  return { roll: rollTorqueNmm, pitch: pitchTorqueNmm };
}

function Lever({ nmm, most }: { nmm: number; most: number }) {
  const part = (50 * Math.abs(nmm)) / most;
  return (
    <TableCell align="right">
      <span className={css.lever}>
        <i
          style={{
            left: nmm < 0 ? `${50 - part}%` : '50%',
            width: `${part}%`,
          }}
        />
      </span>
      <Text variant="figure">{torque(nmm)}</Text>
    </TableCell>
  );
}
