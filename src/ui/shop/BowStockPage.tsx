'use client';
import { useState } from 'react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import Button from '@mui/material/Button';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { bowName, CAM_SYSTEMS, drawLengthSteps, type BowRecord } from '@/core/bow';
import { write, writeMoney, type ShopUnits } from '@/core/units';
import { Text } from '../pieces/Text';
import { WithFractions } from '../fields/Figure';
import { PageHead } from '../frame/PageHead';
import { bowStock as w, firstWords } from '../words';
import { GridTable } from '../fields/GridTable';
import { Page } from '../pieces/Page';
import { Actions } from '../pieces/layout';
import { Note, Tag } from '../pieces/texts';
import { BowForm } from './BowForm';
import { ImportBows } from './ImportBows';
import { countOf, Samples, type SampleIds } from './Samples';
import { SingleBows, type SingleBow } from './SingleBows';
import stockCss from './stock.module.css';

/** Every bow of the shop: looked over, changed one by one, or by a file. */
export function BowStockPage({
  bows,
  pieces,
  units,
  samples,
}: {
  bows: readonly BowRecord[];
  pieces: readonly SingleBow[];
  units: ShopUnits;
  samples: SampleIds;
}) {
  const router = useRouter();
  const [open, setOpen] = useState<BowRecord | 'new' | 'file' | null>(null);
  const done = () => {
    setOpen(null);
    router.refresh();
  };
  return (
    <>
      <PageHead title={w.title} />
      <Page width="wide">
        <Actions>
          <Button variant="contained" onClick={() => setOpen('new')}>
            {w.add}
          </Button>
          <Button variant="outlined" onClick={() => setOpen('file')}>
            {w.fromFile}
          </Button>
          <Button
            variant="outlined"
            component="a"
            href="/api/v1/shop/bows/file"
            download="bows.csv"
          >
            {w.toFile}
          </Button>
          <Link href="/shop" prefetch={false}>
            {w.back}
          </Link>
        </Actions>
        <Samples key={samples.bows.length} count={countOf(samples)} offer={bows.length === 0} />
        {bows.length === 0 ? (
          <Note>{w.none}</Note>
        ) : (
          <GridTable className={stockCss.stockTable} data-part="stock-table">
            <TableHead>
              <TableRow>
                {w.heads.map((head) => (
                  <TableCell key={head}>{head}</TableCell>
                ))}
              </TableRow>
            </TableHead>
            <TableBody>
              {bows.map((bow) => (
                <BowLine
                  key={bow.id}
                  bow={bow}
                  units={units}
                  sample={samples.bows.includes(bow.id)}
                  onOpen={() => setOpen(bow)}
                />
              ))}
            </TableBody>
          </GridTable>
        )}
        <SingleBows pieces={pieces} bows={bows} units={units} />
        {open === 'file' && <ImportBows onClose={() => setOpen(null)} onDone={done} />}
        {open !== null && open !== 'file' && (
          <BowForm
            bow={open === 'new' ? null : open}
            ids={bows.map(({ id }) => id)}
            units={units}
            onClose={() => setOpen(null)}
            onDone={done}
          />
        )}
      </Page>
    </>
  );
}

function BowLine({
  bow,
  units,
  sample,
  onOpen,
}: {
  bow: BowRecord;
  units: ShopUnits;
  sample: boolean;
  onOpen: () => void;
}) {
  const steps = drawLengthSteps(bow);
  const length = (mm: number) => write(mm, 'length', units);
  const force = (n: number) => write(n, 'force', units, { decimals: 0 });
  const lengths =
    steps.length > 1 ? w.range(length(steps[0]!), length(steps.at(-1)!)) : length(steps[0]!);
  return (
    <TableRow>
      <TableCell>
        <Button type="button" variant="link" onClick={onOpen}>
          {bowName(bow)}
        </Button>{' '}
        {sample && <Tag kind="plain">{firstWords.sampleTag}</Tag>}
      </TableCell>
      <TableCell>{bow.hand}</TableCell>
      <TableCell>{CAM_SYSTEMS[bow.camSystem]}</TableCell>
      <TableCell>
        <Text variant="figure">
          <WithFractions text={lengths} />
        </Text>
      </TableCell>
      <TableCell>
        <Text variant="figure">{w.range(force(bow.minPeakN), force(bow.maxPeakN))}</Text>
      </TableCell>
      <TableCell>
        <Text variant="figure">
          {bow.maxTurns === null ? (
            <Tag kind="warn">{w.noTurns}</Tag>
          ) : (
            <WithFractions text={write(bow.maxTurns, 'turns', units)} />
          )}
        </Text>
      </TableCell>
      <TableCell>{bow.stops ? w.stops[bow.stops] : '—'}</TableCell>
      <TableCell align="right">
        <Text variant="figure">{writeMoney(bow.priceCents)}</Text>
      </TableCell>
      <TableCell align="right">{bow.stock > 0 ? bow.stock : w.days(bow.deliveryDays)}</TableCell>
    </TableRow>
  );
}
