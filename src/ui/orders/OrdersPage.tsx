'use client';
import { useState } from 'react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import Button from '@mui/material/Button';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import type { OrderRow } from '@/core/job';
import { Text } from '../pieces/Text';
import { plainDay } from '../fields/dates';
import { PageHead } from '../frame/PageHead';
import { post } from '../keep/post';
import { orderWords as w } from '../words';
import { GridTable } from '../fields/GridTable';
import { Page } from '../pieces/Page';
import { Actions, Block } from '../pieces/layout';
import { Note, Tag } from '../pieces/texts';
import css from './OrdersPage.module.css';

type State = 'toOrder' | 'ordered' | 'arrived' | 'calledOff';
const stateOf = ({ orderedAt, arrivedAt }: OrderRow): State =>
  arrivedAt ? 'arrived' : orderedAt ? 'ordered' : 'toOrder';

/** What open jobs wait for, by supplier: marked when it is ordered and when it has come. */
export function OrdersPage({ orders }: { orders: readonly OrderRow[] }) {
  const router = useRouter();
  const [trouble, setTrouble] = useState('');
  const mark = async ({ orderId, jobId, version, slot }: OrderRow, state: State) => {
    const command =
      slot === 'bow' ? { name: 'orderBow', state } : { name: 'orderPart', slot, state };
    const answer =
      orderId === null
        ? await post(`/api/v1/jobs/${jobId}/commands`, { version, command })
        : await post(`/api/v1/shop/orders/${orderId}`, { state });
    setTrouble(answer.ok ? '' : answer.message);
    router.refresh();
  };
  const suppliers = [...new Set(orders.map(({ supplier }) => supplier))];
  return (
    <>
      <PageHead title={w.title} />
      <Page width="wide">
        <Text soft>{w.lead}</Text>
        <Actions>
          {orders.some((order) => stateOf(order) === 'toOrder') && (
            <Button
              variant="outlined"
              component="a"
              href="/api/v1/shop/orders/file"
              download="orders.csv"
            >
              {w.toFile}
            </Button>
          )}
          <Link href="/" prefetch={false}>
            {w.back}
          </Link>
        </Actions>
        {trouble && (
          <Note kind="stop" role="alert">
            {trouble}
          </Note>
        )}
        {orders.length === 0 && <Note>{w.none}</Note>}
        {suppliers.map((supplier) => {
          const mine = orders.filter((order) => order.supplier === supplier);
          return (
            <Block key={supplier}>
              <h2>
                {supplier || w.unknown}{' '}
                <Text soft as="span">
                  {w.count(mine.length)}
                </Text>
              </h2>
              <GridTable className={css.ordersTable}>
                <TableHead>
                  <TableRow>
                    {w.heads.map((head) => (
                      <TableCell key={head}>{head}</TableCell>
                    ))}
                    <TableCell />
                  </TableRow>
                </TableHead>
                <TableBody>
                  {mine.map((order) => (
                    <OrderLine
                      key={`${order.orderId} ${order.jobId} ${order.slot} ${order.itemId}`}
                      order={order}
                      onMark={mark}
                    />
                  ))}
                </TableBody>
              </GridTable>
            </Block>
          );
        })}
      </Page>
    </>
  );
}

const placeOf = ({ jobId, slot }: OrderRow) =>
  slot === 'bow' ? `/jobs/${jobId}/bow?part=choose` : `/jobs/${jobId}/kit?slot=${slot}`;

function OrderLine({
  order,
  onMark,
}: {
  order: OrderRow;
  onMark: (order: OrderRow, state: State) => Promise<void>;
}) {
  const state = stateOf(order);
  const { promisedDay, arrivesDay } = order;
  const late = promisedDay !== null && arrivesDay > promisedDay && state !== 'arrived';
  const button = (next: State, text: string, strong = false) => (
    <Button
      variant={strong ? 'outlined' : 'text'}
      aria-label={`${text}: ${order.label}`}
      onClick={() => void onMark(order, next)}
    >
      {text}
    </Button>
  );
  return (
    <TableRow>
      <TableCell>
        {order.count > 1 && <Text variant="figure">{w.times(order.count)} </Text>}
        <b>{order.label}</b>
      </TableCell>
      <TableCell>
        {order.jobId === null ? (
          <>
            {w.forShelf}{' '}
            <Text soft as="span">
              {w.wasFor(order.number)}
            </Text>
          </>
        ) : (
          <>
            <Link href={placeOf(order)} prefetch={false}>
              {order.archer}
            </Link>{' '}
            <Text variant="figure" soft>
              {order.number}
            </Text>
          </>
        )}
      </TableCell>
      <TableCell>
        <Text variant="figure">{promisedDay ? plainDay(promisedDay) : '—'}</Text>
      </TableCell>
      <TableCell>
        <Text variant="figure">
          {plainDay(arrivesDay)} {late && <Tag kind="out">{w.late}</Tag>}
        </Text>
      </TableCell>
      <TableCell>
        <Tag kind={state === 'arrived' ? 'in' : state === 'toOrder' ? 'warn' : ''}>{w[state]}</Tag>
      </TableCell>
      <TableCell align="right" className={css.ordersAct}>
        {state === 'toOrder' && button('ordered', w.markOrdered, true)}
        {state === 'ordered' && button('arrived', w.markArrived, true)}
        {order.orderId !== null && button('calledOff', w.calledOff)}
        {order.orderId === null && state !== 'toOrder' && button('toOrder', w.markNot)}
      </TableCell>
    </TableRow>
  );
}
