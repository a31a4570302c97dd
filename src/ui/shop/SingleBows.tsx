'use client';
import { useState } from 'react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import Button from '@mui/material/Button';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { PIECE_COLUMNS } from '@/contracts/bow-csv';
import { bowName, pieceCents, type BowPiece, type BowRecord } from '@/core/bow';
import { writeMoney, type ShopUnits } from '@/core/units';
import { Text } from '../pieces/Text';
import { TextField } from '../fields/TextField';
import { GridTable } from '../fields/GridTable';
import { Panel } from '../frame/Panel';
import { post } from '../keep/post';
import { singleBows as w } from '../words';
import { Actions, Block } from '../pieces/layout';
import { Note, Tag } from '../pieces/texts';
import { RecordForm } from './RecordForm';
import stockCss from './stock.module.css';

export interface SingleBow extends BowPiece {
  /** Job that holds it or that it is lent to; null where nobody has it. */
  readonly jobId: string | null;
  readonly ticket: number | null;
  readonly archer: string | null;
  readonly leftWith: string | null;
}

const nameOf = (bow: BowRecord) => `${bowName(bow)}, ${bow.hand}`;

/** Bows told apart by their number: used ones, those to lend, new ones written down one by one. */
export function SingleBows({
  pieces,
  bows,
  units,
}: {
  pieces: readonly SingleBow[];
  bows: readonly BowRecord[];
  units: ShopUnits;
}) {
  const router = useRouter();
  const [open, setOpen] = useState<SingleBow | 'new' | null>(null);
  const [trouble, setTrouble] = useState('');
  const done = () => {
    setOpen(null);
    router.refresh();
  };
  const send = async ({ serial }: SingleBow, method: 'POST' | 'DELETE') => {
    const url = `/api/v1/shop/bow-pieces/${encodeURIComponent(serial)}`;
    const answer = await post(url, {}, method);
    setTrouble(answer.ok ? '' : answer.message);
    router.refresh();
  };
  return (
    <Block>
      <h2>{w.title}</h2>
      <Text soft>{w.lead}</Text>
      <Actions>
        <Button variant="outlined" disabled={bows.length === 0} onClick={() => setOpen('new')}>
          {w.add}
        </Button>
      </Actions>
      {trouble && (
        <Note kind="stop" role="alert">
          {trouble}
        </Note>
      )}
      {pieces.length > 0 && (
        <GridTable className={stockCss.stockTable} data-part="stock-table">
          <TableHead>
            <TableRow>
              {w.heads.map((head) => (
                <TableCell key={head}>{head}</TableCell>
              ))}
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {pieces.map((piece) => (
              <PieceLine
                key={piece.serial}
                piece={piece}
                bow={bows.find(({ id }) => id === piece.bowId)!}
                onOpen={() => setOpen(piece)}
                onSend={(method) => void send(piece, method)}
              />
            ))}
          </TableBody>
        </GridTable>
      )}
      {open !== null && (
        <PieceForm
          piece={open === 'new' ? null : open}
          bows={bows}
          units={units}
          onClose={() => setOpen(null)}
          onDone={done}
        />
      )}
    </Block>
  );
}

function PieceLine({
  piece,
  bow,
  onOpen,
  onSend,
}: {
  piece: SingleBow;
  bow: BowRecord;
  onOpen: () => void;
  onSend: (method: 'POST' | 'DELETE') => void;
}) {
  const { serial, condition, note, jobId, ticket, archer, leftWith } = piece;
  return (
    <TableRow>
      <TableCell>
        <Button type="button" variant="link" onClick={onOpen}>
          {serial}
        </Button>
      </TableCell>
      <TableCell>{nameOf(bow)}</TableCell>
      <TableCell>
        <Tag kind={condition === 'loan' ? 'again' : 'plain'}>{w.condition[condition]}</Tag>
      </TableCell>
      <TableCell align="right">
        <Text variant="figure">
          {condition === 'loan' ? w.lentOnly : writeMoney(pieceCents(bow, piece))}
        </Text>
      </TableCell>
      <TableCell>{note}</TableCell>
      <TableCell>
        {jobId === null ? (
          w.inShop
        ) : (
          <Link href={`/jobs/${jobId}`} prefetch={false}>
            {leftWith ? w.lentTo(archer ?? '', ticket ?? 0) : w.putAside(archer ?? '', ticket ?? 0)}
          </Link>
        )}
      </TableCell>
      <TableCell align="right">
        {leftWith !== null && (
          <Button
            variant="outlined"
            aria-label={`${w.back}: ${serial}`}
            onClick={() => onSend('POST')}
          >
            {w.back}
          </Button>
        )}
        {jobId === null && (
          <Button
            variant="text"
            aria-label={`${w.forget}: ${serial}`}
            onClick={() => onSend('DELETE')}
          >
            {w.forget}
          </Button>
        )}
      </TableCell>
    </TableRow>
  );
}

/** A new one is first told what it is; the number of a known one stays. */
function PieceForm({
  piece,
  bows,
  units,
  onClose,
  onDone,
}: {
  piece: SingleBow | null;
  bows: readonly BowRecord[];
  units: ShopUnits;
  onClose: () => void;
  onDone: () => void;
}) {
  const [bowId, setBowId] = useState(piece?.bowId ?? '');
  if (bowId === '')
    return (
      <Panel title={w.add} onClose={onClose}>
        <TextField
          select
          fullWidth
          id="piece-bow"
          label={w.whichBow}
          value=""
          onChange={(event) => setBowId(event.target.value)}
        >
          <option value="" />
          {bows.map((bow) => (
            <option key={bow.id} value={bow.id}>
              {nameOf(bow)}
            </option>
          ))}
        </TextField>
      </Panel>
    );
  const bow = bows.find(({ id }) => id === bowId)!;
  return (
    <RecordForm
      title={piece ? w.one(piece.serial) : nameOf(bow)}
      save={w.save}
      columns={piece ? PIECE_COLUMNS.filter(({ header }) => header !== 'serial') : PIECE_COLUMNS}
      record={piece as BowPiece | null}
      urlOf={({ serial }) =>
        `/api/v1/shop/bow-pieces/${encodeURIComponent(piece?.serial ?? serial?.trim() ?? '')}`
      }
      more={{ bowId }}
      addsNew={false}
      units={units}
      onClose={onClose}
      onDone={onDone}
    />
  );
}
